import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Screen } from '../shell/Screen.tsx';
import { Segments } from '../design/Segments.tsx';
import { Text } from '../design/Text.tsx';
import { ColumnChoice } from './ColumnChoice.tsx';
import { type PartsFile } from './partsFile.ts';
import { Coming } from './ImportProgress.tsx';
import { useImport } from './useImport.ts';
import { Report } from './ImportReport.tsx';

/** A parts list brought in: columns named, every row checked, bad ones mended here, then all or nothing. */
export function ImportPartsScreen() {
  const {
    file,
    mapping,
    setMapping,
    unit,
    setUnit,
    duplicates,
    setDuplicates,
    checked,
    setChecked,
    share,
    problem,
    coming,
    choose,
    check,
    mend,
    bring,
    cancel,
  } = useImport();

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
              <Button label="Stop" onPress={() => cancel()} />
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
