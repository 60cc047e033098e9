import { t as shared } from '@patient-badger/wording/shared';
import { t } from '@patient-badger/wording/shelf';
import { GEAR_TYPES, partAttributes, type PartAttributes } from '@patient-badger/core/parts';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Field } from '../design/Field.tsx';
import { Screen } from '../shell/Screen.tsx';
import { Text } from '../design/Text.tsx';
import { typedNumber } from '../design/typedNumber.ts';
import { attributeName, attributeValue } from '../wording/attributeWords.ts';
import { DonorForm } from './DonorForm.tsx';

type Kind = (typeof GEAR_TYPES)[number];
const FIELDS = ['teeth', 'starts', 'module', 'diametralPitch', 'boreDiameterMm', 'faceWidthMm', 'tipDiameterMm'] as const;
type Name = (typeof FIELDS)[number];
const LABELS: Readonly<Partial<Record<Name, string>>> = { module: shared.moduleMm, diametralPitch: t.orDiametralPitch };

/** A donor written down by hand: what was read off it, and what it has behind it. */
export function AddDonorScreen() {
  const router = useRouter();
  const [kind, setKind] = useState<Kind>('spur');
  const [typed, setTyped] = useState<Partial<Record<Name, string>>>({});
  const read = readAttributes(kind, typed);
  const shown = FIELDS.filter((name) => (name === 'starts' ? kind === 'worm' : true) && (name === 'teeth' ? kind !== 'worm' : true));
  return (
    <Screen title={t.putAGearOnThe} back="/shelf">
      <Card>
        <Text variant="head">{t.whatItIsByIts}</Text>
        <View role="radiogroup" aria-label={shared.kind} className="flex-row flex-wrap gap-2">
          {GEAR_TYPES.map((gearType) => (
            <Button
              key={gearType}
              label={attributeValue('type', gearType)}
              variant={gearType === kind ? 'chosen' : 'plain'}
              checked={gearType === kind}
              onPress={() => setKind(gearType)}
            />
          ))}
        </View>
        <Text variant="soft">{t.leaveEmptyWhatYouHave}</Text>
        <View className="flex-row flex-wrap gap-2">
          {shown.map((name) => (
            <View key={name} className="min-w-[140px] flex-1">
              <Field
                label={LABELS[name] ?? `${attributeName(name)}${name.endsWith('Mm') ? shared.inMm : ''}`}
                value={typed[name] ?? ''}
                onChangeText={(text) => setTyped({ ...typed, [name]: text })}
                problem={read.problems[name]}
                inputMode="decimal"
                testID={`donor-${name}`}
              />
            </View>
          ))}
        </View>
      </Card>
      <DonorForm attributes={read.attributes} onKept={() => router.navigate('/shelf')} />
    </Screen>
  );
}

interface DonorReading {
  readonly attributes: PartAttributes | null;
  readonly problems: Readonly<Partial<Record<Name, string>>>;
}

/** What was typed, as a gear; what is no number is named. */
export function readAttributes(type: Kind, typed: Partial<Record<Name, string>>): DonorReading {
  const filled = FIELDS.filter((name) => typed[name]?.trim());
  const values = Object.fromEntries(filled.map((name) => [name, typedNumber(typed[name] ?? '')])) as Partial<Record<Name, number>>;
  const counted = (name: Name) => name === 'teeth' || name === 'starts';
  const wrong = filled.flatMap((name): [Name, string][] => {
    const value = values[name] ?? NaN;
    if (!Number.isFinite(value) || value <= 0) return [[name, t.thatIsNotOneNumber]];
    return counted(name) && !Number.isInteger(value) ? [[name, t.thatIsCountedAWhole]] : [];
  });
  if (wrong.length > 0) return { attributes: null, problems: Object.fromEntries(wrong) };
  const { module, ...rest } = values;
  const sized = module === undefined ? {} : { [type === 'worm' ? 'axialModuleMm' : 'normalModuleMm']: module };
  return { attributes: partAttributes.parse({ type, ...rest, ...sized }), problems: {} };
}
