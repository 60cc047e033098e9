import { PART_FIELDS, type ColumnMapping, type PartField } from '@patient-badger/core';
import { useState } from 'react';
import { Pressable, View } from 'react-native';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Text } from '../design/Text.tsx';
import type { PartsFile } from './partsFile.ts';

export const FIELD_WORDS: Readonly<Record<PartField, string>> = {
  partNumber: 'Part number',
  name: 'Name',
  supplier: 'Supplier',
  type: 'Kind of part',
  teeth: 'Teeth',
  starts: 'Starts',
  normalModuleMm: 'Module',
  diametralPitch: 'Diametral pitch',
  pressureAngleDeg: 'Pressure angle',
  helixAngleDeg: 'Helix angle',
  hand: 'Hand',
  boreShape: 'Bore shape',
  boreDiameterMm: 'Bore',
  faceWidthMm: 'Face width',
  tipDiameterMm: 'Over the tips',
  material: 'Material',
  outsideDiameterMm: 'Outside diameter',
  shaftDiameterMm: 'Shaft',
  widthMm: 'Overall width',
  heightMm: 'Height',
  lengthMm: 'Length',
  thicknessMm: 'Thickness',
  wireDiameterMm: 'Wire',
  coils: 'Coils',
  keyWidthMm: 'Key width',
  price: 'Price',
  stock: 'In stock',
  leadDays: 'Days to come',
  fits: 'Said to fit',
  supersededBy: 'Replaced by',
  alternatives: 'Or else',
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
      <Text variant="head">Columns</Text>
      {PART_FIELDS.map((field) => {
        const column = mapping[field];
        return (
          <View key={field} className="gap-1">
            <Pressable
              role="button"
              aria-label={`${FIELD_WORDS[field]}: ${column ?? 'not in the file'}`}
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
                <Button variant="quiet" label="Not in the file" onPress={() => choose(field, undefined)} />
              </View>
            ) : null}
          </View>
        );
      })}
    </Card>
  );
}
