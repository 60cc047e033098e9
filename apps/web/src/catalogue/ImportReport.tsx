import { t } from '@patient-badger/wording/catalogue';
import type { ColumnMapping, PartField } from '@patient-badger/core/parts';
import { cellSentence } from '@patient-badger/wording';
import { View } from 'react-native';
import { Card } from '../design/Card.tsx';
import { Field } from '../design/Field.tsx';
import { Text } from '../design/Text.tsx';
import { FIELD_WORDS } from './ColumnChoice.tsx';
import { lineOf, type BadRow, type FileCheck, type PartsFile } from './partsFile.ts';

export const SHOWN_BAD = 30;

/** What of the list can be taken, and each row that cannot, with the cells to mend. */
export function Report({
  file,
  mapping,
  checked,
  onMend,
}: {
  file: PartsFile;
  mapping: ColumnMapping;
  checked: FileCheck;
  onMend: (index: number, field: PartField, text: string) => void;
}) {
  const { drafts, bad } = checked;
  return (
    <>
      <Text variant="head" testID="check-report">
        {t.goodToMend(drafts.length, bad.length)}
      </Text>
      {bad.slice(0, SHOWN_BAD).map((each) => (
        <Mend key={each.index} file={file} mapping={mapping} bad={each} onMend={onMend} />
      ))}
      {bad.length > SHOWN_BAD ? <Text variant="soft">{t.andMoreIfTheyAre(bad.length - SHOWN_BAD)}</Text> : null}
      {bad.length > 0 ? <Text variant="soft">{t.putTheCellsRightThen}</Text> : null}
    </>
  );
}

export function Mend({
  file,
  mapping,
  bad: { index, problems },
  onMend,
}: {
  file: PartsFile;
  mapping: ColumnMapping;
  bad: BadRow;
  onMend: (index: number, field: PartField, text: string) => void;
}) {
  const row = file.rows[index] ?? {};
  const number = mapping.partNumber === undefined ? '' : (row[mapping.partNumber] ?? '');
  return (
    <Card tone="danger">
      <Text variant="strong">{t.line(lineOf(index), number)}</Text>
      {problems
        .map((each) => ({ field: each.field, why: cellSentence(each) }))
        .map(({ field, why }) =>
          mapping[field] === undefined ? (
            <Text key={field} variant="danger">
              {t.noColumnIsChosenFor(FIELD_WORDS[field], why)}
            </Text>
          ) : (
            <View key={field}>
              <Field
                label={FIELD_WORDS[field]}
                value={row[mapping[field]] ?? ''}
                onChangeText={(text) => onMend(index, field, text)}
                problem={why}
                testID={`mend-${lineOf(index)}-${field}`}
              />
            </View>
          ),
        )}
    </Card>
  );
}
