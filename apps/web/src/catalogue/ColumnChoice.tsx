import { t } from '@patient-badger/wording/catalogue';
import { t as shared } from '@patient-badger/wording/shared';
import { PART_FIELDS, type ColumnMapping, type PartField } from '@patient-badger/core/parts';
import { useState } from 'react';
import { Pressable, View } from 'react-native';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Text } from '../design/Text.tsx';
import type { PartsFile } from './partsFile.ts';

export const FIELD_WORDS: Readonly<Record<PartField, string>> = {
  partNumber: t.partNumber,
  name: shared.name2,
  supplier: t.supplier,
  type: t.kindOfPart,
  teeth: shared.teeth,
  starts: shared.starts,
  normalModuleMm: shared.module,
  diametralPitch: shared.diametralPitch,
  pressureAngleDeg: shared.pressureAngle,
  helixAngleDeg: shared.helixAngle,
  hand: shared.hand,
  boreShape: shared.boreShape,
  boreDiameterMm: shared.bore,
  faceWidthMm: shared.faceWidth,
  tipDiameterMm: shared.overTheTips,
  material: shared.material,
  outsideDiameterMm: shared.outsideDiameter,
  shaftDiameterMm: shared.shaft,
  widthMm: t.overallWidth,
  heightMm: shared.height,
  lengthMm: shared.length2,
  thicknessMm: shared.thickness,
  wireDiameterMm: shared.wire,
  coils: shared.coils,
  keyWidthMm: t.keyWidth,
  price: t.price2,
  stock: t.inStock,
  leadDays: t.daysToCome,
  fits: t.saidToFit,
  supersededBy: t.replacedBy,
  alternatives: t.orElse,
};

interface Props {
  readonly file: PartsFile;
  readonly mapping: ColumnMapping;
  readonly onChange: (mapping: ColumnMapping) => void;
}

/** Which column holds what: guessed by the headings, changed by hand, with what stands in the first row. */
export function ColumnChoice({ file: { headings, rows }, mapping, onChange }: Props) {
  const [open, setOpen] = useState<PartField | null>(null);
  const choose = (field: PartField, column: string | undefined) => {
    const { [field]: _, ...rest } = mapping;
    onChange(column === undefined ? rest : { ...rest, [field]: column });
    setOpen(null);
  };
  return (
    <Card>
      <Text variant="head">{t.columns}</Text>
      {PART_FIELDS.map((field) => {
        const column = mapping[field];
        return (
          <View key={field} className="gap-1">
            <Pressable
              role="button"
              aria-label={`${FIELD_WORDS[field]}: ${column ?? t.notInTheFile}`}
              testID={`column-${field}`}
              onPress={() => setOpen(open === field ? null : field)}
              className="min-h-[48px] flex-row items-center gap-2 border-b border-line active:opacity-70"
            >
              <Text variant={column ? 'strong' : 'soft'} className="flex-1">
                {FIELD_WORDS[field]}
              </Text>
              <Text variant="soft" numberOfLines={1} className="max-w-[55%]">
                {column ? `${column}: ${rows[0]?.[column] ?? ''}` : '–'}
              </Text>
            </Pressable>
            {open === field ? (
              <View className="flex-row flex-wrap gap-2 pb-2">
                {headings.map((each) => (
                  <Button key={each} label={each} variant={each === column ? 'chosen' : 'plain'} onPress={() => choose(field, each)} />
                ))}
                <Button variant="quiet" label={t.notInTheFile2} onPress={() => choose(field, undefined)} />
              </View>
            ) : null}
          </View>
        );
      })}
    </Card>
  );
}
