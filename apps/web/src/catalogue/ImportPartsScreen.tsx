import { type ColumnMapping, type PartField, type PartLengthUnit } from '@patient-badger/core';
import { cellSentence } from '@patient-badger/wording';
import type { Duplicates, ImportState } from '@patient-badger/contract';
import { useRef, useState } from 'react';
import { View } from 'react-native';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Field } from '../design/Field.tsx';
import { Screen } from '../shell/Screen.tsx';
import { Segments } from '../design/Segments.tsx';
import { Text } from '../design/Text.tsx';
import { beginImport, cancelImport, followImport } from './bringIn.ts';
import { pickCsv } from './pickCsv.ts';
import { ColumnChoice, FIELD_WORDS } from './ColumnChoice.tsx';
import { checkRows, lineOf, mended, readPartsFile, type BadRow, type Checked, type PartsFile } from './partsFile.ts';

const SHOWN_BAD = 30;

/** A parts list brought in: columns named, every row checked, bad ones mended here, then all or nothing. */
export function ImportPartsScreen() {
  const [file, setFile] = useState<PartsFile | null>(null);
  const [mapping, setMapping] = useState<ColumnMapping>({});
  const [unit, setUnit] = useState<PartLengthUnit>('mm');
  const [duplicates, setDuplicates] = useState<Duplicates>('refuse');
  const [checked, setChecked] = useState<Checked | null>(null);
  const [share, setShare] = useState<number | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const [coming, setComing] = useState<ImportState | null>(null);
  const stop = useRef(false);

  const choose = async () => {
    try {
      const picked = await pickCsv();
      if (!picked) return;
      const read = await readPartsFile(picked);
      setFile(read);
      setMapping(read.mapping);
      setChecked(null);
      setComing(null);
      setProblem(null);
    } catch (error) {
      setProblem(error instanceof Error ? error.message : String(error));
    }
  };
  const check = async (of = file) => {
    if (!of) return;
    stop.current = false;
    setShare(0);
    setChecked(await checkRows(of, { mapping, unit, onProgress: setShare, stopped: () => stop.current }));
    setShare(null);
  };
  const mend = (index: number, field: PartField, text: string) => {
    if (!file) return;
    setFile(mended(file, { index, mapping, field, text }));
  };
  const bring = async () => {
    if (!checked) return;
    try {
      setProblem(null);
      const begun = await beginImport(checked.drafts, duplicates);
      setComing(begun);
      const ended = await followImport(begun.id, setComing);
      if (ended.state === 'failed') setProblem(ended.sentence);
    } catch (error) {
      setComing(null);
      setProblem(error instanceof Error ? error.message : String(error));
    }
  };

  return (
    <Screen title="Bring in a parts list" back="/parts">
      <Text>A CSV file: the first line names the columns, each line below is a part. Nothing is kept until every row can be.</Text>
      <Button
        variant={file ? 'plain' : 'primary'}
        big
        label={file ? `${file.name}: ${file.rows.length} rows` : 'Choose the file'}
        testID="choose-parts"
        onPress={() => void choose()}
      />
      {problem ? <Text variant="danger">{problem}</Text> : null}
      {file ? (
        <>
          <ColumnChoice
            file={file}
            mapping={mapping}
            onChange={(next) => {
              setMapping(next);
              setChecked(null);
            }}
          />
          <Segments
            label="Lengths in the file are"
            options={[
              ['mm', 'Lengths in mm'],
              ['inch', 'Lengths in inches'],
            ]}
            value={unit}
            onChange={(next) => {
              setUnit(next);
              setChecked(null);
            }}
          />
          <Segments
            label="A part number that is there already"
            options={[
              ['refuse', 'Known: stop'],
              ['skip', 'Skip'],
              ['replace', 'Replace'],
            ]}
            value={duplicates}
            onChange={setDuplicates}
          />
          {share === null ? (
            <Button
              variant={checked ? 'plain' : 'primary'}
              big
              label={checked ? 'Check again' : 'Check every row'}
              testID="check-rows"
              onPress={() => void check()}
            />
          ) : (
            <Card tone="sunken">
              <Text>Checking: {Math.round(100 * share)} %</Text>
              <Button label="Stop" onPress={() => (stop.current = true)} />
            </Card>
          )}
        </>
      ) : null}
      {checked ? <Report file={file as PartsFile} mapping={mapping} checked={checked} onMend={mend} /> : null}
      {checked && checked.bad.length === 0 && (coming === null || coming.state === 'failed' || coming.state === 'cancelled') ? (
        <Button variant="primary" big label={`Bring in ${checked.drafts.length} rows`} testID="bring-in" onPress={() => void bring()} />
      ) : null}
      {coming ? <Coming state={coming} /> : null}
    </Screen>
  );
}

/** How far the list has come on the server; it counts only once it is whole. */
function Coming({ state: { id, state, done, total, receipt } }: { state: ImportState }) {
  if (state === 'done' && receipt) {
    return (
      <Card tone="next">
        <Text variant="head" testID="import-receipt">
          {receipt.added} added, {receipt.replaced} replaced, {receipt.skipped} skipped
        </Text>
      </Card>
    );
  }
  if (state !== 'running') return <Text variant="strong">{state === 'cancelled' ? 'Stopped. ' : ''}Nothing of the list was kept.</Text>;
  return (
    <Card tone="sunken">
      <Text testID="import-progress">{total === 0 ? 'The server reads the list …' : `${done} of ${total} rows`}</Text>
      <Button label="Stop, and keep nothing of it" testID="stop-import" onPress={() => void cancelImport(id)} />
    </Card>
  );
}

/** What of the list can be taken, and each row that cannot, with the cells to mend. */
function Report({
  file,
  mapping,
  checked,
  onMend,
}: {
  file: PartsFile;
  mapping: ColumnMapping;
  checked: Checked;
  onMend: (index: number, field: PartField, text: string) => void;
}) {
  const { drafts, bad } = checked;
  return (
    <>
      <Text variant="head" testID="check-report">
        {drafts.length} good, {bad.length} to mend
      </Text>
      {bad.slice(0, SHOWN_BAD).map((each) => (
        <Mend key={each.index} file={file} mapping={mapping} bad={each} onMend={onMend} />
      ))}
      {bad.length > SHOWN_BAD ? (
        <Text variant="soft">and {bad.length - SHOWN_BAD} more. If they are all alike, look at the columns and the unit above.</Text>
      ) : null}
      {bad.length > 0 ? <Text variant="soft">Put the cells right, then check again. Your file stays as it is.</Text> : null}
    </>
  );
}

function Mend({
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
      <Text variant="strong">
        Line {lineOf(index)} {number}
      </Text>
      {problems
        .map((each) => ({ field: each.field, why: cellSentence(each) }))
        .map(({ field, why }) =>
          mapping[field] === undefined ? (
            <Text key={field} variant="danger">
              {FIELD_WORDS[field]}: {why} No column is chosen for it.
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
