import { t } from '@patient-badger/wording/catalogue';
import { t as shared } from '@patient-badger/wording/shared';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Screen } from '../shell/Screen.tsx';
import { Segments } from '../design/Segments.tsx';
import { Problem } from '../design/Problem.tsx';
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
    <Screen title={shared.bringInAPartsList} back="/parts">
      <Text>{t.aCsvFileTheFirst}</Text>
      <Button
        variant={file ? 'plain' : 'primary'}
        big
        label={file ? t.rows(file.name, file.rows.length) : shared.chooseTheFile}
        testID="choose-parts"
        onPress={() => void choose()}
      />
      <Problem text={problem} />
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
            label={t.lengthsInTheFileAre}
            options={[
              ['mm', t.lengthsInMm],
              ['inch', t.lengthsInInches],
            ]}
            value={unit}
            onChange={(next) => {
              setUnit(next);
              setChecked(null);
            }}
          />
          <Segments
            label={t.aPartNumberThatIs}
            options={[
              ['refuse', t.knownStop],
              ['skip', t.skip],
              ['replace', shared.replace],
            ]}
            value={duplicates}
            onChange={setDuplicates}
          />
          {share === null ? (
            <Button
              variant={checked ? 'plain' : 'primary'}
              big
              label={checked ? t.checkAgain : t.checkEveryRow}
              testID="check-rows"
              onPress={() => void check()}
            />
          ) : (
            <Card tone="sunken">
              <Text>{t.checking(Math.round(100 * share))}</Text>
              <Button label={shared.stop} onPress={() => cancel()} />
            </Card>
          )}
        </>
      ) : null}
      {checked ? <Report file={file as PartsFile} mapping={mapping} checked={checked} onMend={mend} /> : null}
      {checked && checked.bad.length === 0 && (coming === null || coming.state === 'failed' || coming.state === 'cancelled') ? (
        <Button variant="primary" big label={t.bringInRows(checked.drafts.length)} testID="bring-in" onPress={() => void bring()} />
      ) : null}
      {coming ? <Coming state={coming} /> : null}
    </Screen>
  );
}
