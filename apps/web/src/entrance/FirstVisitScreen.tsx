import { t } from '@patient-badger/wording/entrance';
import { t as shared } from '@patient-badger/wording/shared';
import { firstShop, PASSPHRASE_LEAST } from '@patient-badger/contract';
import { useState } from 'react';
import { Controller, useForm, useWatch, type FieldPath } from 'react-hook-form';
import type { TextInputProps } from 'react-native';
import type { z } from 'zod';
import { call } from '../data/api.ts';
import { choosePerson } from '../data/person.ts';
import { standingReader, takeStanding } from '../data/standing.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Field } from '../design/Field.tsx';
import { Segments } from '../design/Segments.tsx';
import { Text } from '../design/Text.tsx';
import { UnitFields } from '../people/UnitFields.tsx';
import { rateOf } from '../people/rate.ts';
import { DoorScreen } from './DoorScreen.tsx';
import { useDeviceName } from '../shell/SignInForm.tsx';
import { messageOf } from '../wording/messageOf.ts';
import { schemaResolver } from '../wording/schemaProblems.ts';

type Form = z.input<typeof firstShop>;

/** The code stands in the address that the start of the server prints. */
const codeInAddress = () => new URLSearchParams(globalThis.location?.search ?? '').get('code') ?? '';

/** The first visit: the shop, its owner, its units, and whether there shall be something to try out. */
export function FirstVisitScreen() {
  const device = useDeviceName();
  const [problem, setProblem] = useState<string | null>(null);
  const [rate, setRate] = useState('');
  const [code] = useState(codeInAddress);
  const { control, handleSubmit, setValue } = useForm<Form, unknown, z.output<typeof firstShop>>({
    resolver: schemaResolver(firstShop),
    defaultValues: {
      code,
      shop: { name: '', currency: '', lengthUnit: 'mm', distanceUnit: 'km', torqueUnit: 'N·m', rateMinor: 0 },
      owner: { name: '', passphrase: '' },
      withSampleParts: false,
      device,
    },
  });
  const [units, withSampleParts] = useWatch({ control, name: ['shop', 'withSampleParts'] });
  const begin = handleSubmit(
    async (draft) => {
      const rateMinor = rateOf(rate);
      if (rateMinor === null) return setProblem(shared.theRatePerHourIs);
      try {
        const next = await call('/api/first-shop', standingReader, {
          json: { ...draft, shop: { ...draft.shop, rateMinor } },
          person: null,
        });
        choosePerson(next.person);
        takeStanding(next);
        globalThis.history?.replaceState(null, '', '/');
      } catch (error) {
        setProblem(messageOf(error));
      }
    },
    () => setProblem(t.somethingIsStillMissingAbove),
  );
  const text = (name: FieldPath<Form>, label: string, rest: TextInputProps & { example?: string } = {}) => (
    <Controller
      control={control}
      name={name}
      render={({ field: { value, onChange, onBlur }, fieldState: { error } }) => (
        <Field label={label} value={String(value)} onChangeText={onChange} onBlur={onBlur} problem={error?.message} {...rest} />
      )}
    />
  );
  return (
    <DoorScreen title={t.aShopMovesIn} under={t.askedOnceAllOfIt}>
      {code === '' ? (
        <Card tone="next">
          {text('code', t.codeThatTheStartOf, { autoCapitalize: 'none' })}
          <Text variant="soft">{t.soThatNobodyElseOn}</Text>
        </Card>
      ) : null}
      <Card>
        <Text variant="head">{shared.theShop}</Text>
        {text('shop.name', shared.nameOfTheShop, { maxLength: 80 })}
        {text('shop.currency', shared.currencyThreeLetters, { maxLength: 3, autoCapitalize: 'characters', example: 'EUR' })}
        <Field label={shared.ratePerHour} value={rate} onChangeText={setRate} inputMode="decimal" example="54" />
      </Card>
      <Card>
        <Text variant="head">{t.units}</Text>
        <UnitFields value={units} onChange={(change) => setValue('shop', { ...units, ...change })} />
      </Card>
      <Card>
        <Text variant="head">{t.youTheOwner}</Text>
        {text('owner.name', shared.yourName, { autoComplete: 'username', maxLength: 60 })}
        {text('owner.passphrase', t.aPassphrase, { secureTextEntry: true, autoComplete: 'new-password', maxLength: 128 })}
        <Text variant="soft">{t.atLeastLettersAFew(PASSPHRASE_LEAST)}</Text>
      </Card>
      <Card>
        <Text variant="head">{t.somethingToTryTheSearches}</Text>
        <Text>{t.partsOfMadeUpMakers}</Text>
        <Segments
          label={t.sampleParts}
          options={[
            ['no', t.anEmptyCatalogue],
            ['yes', shared.madeUpParts],
          ]}
          value={withSampleParts ? 'yes' : 'no'}
          onChange={(chosen) => setValue('withSampleParts', chosen === 'yes')}
        />
      </Card>
      {problem ? (
        <Text variant="danger" role="alert">
          {problem}
        </Text>
      ) : null}
      <Button variant="primary" big label={t.openTheShop} testID="open-shop" onPress={() => void begin()} />
    </DoorScreen>
  );
}
