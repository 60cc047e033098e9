import { isMakeable, remediesOfJob, seatOfGear } from '@patient-badger/core/job';
import { seatStrength } from '@patient-badger/core/parts';
import { t } from '@patient-badger/wording/saving';
import { t as shared } from '@patient-badger/wording/shared';
import type { GearCard } from '@patient-badger/core/machine';
import { addDays, format, parseISO } from 'date-fns';
import { useMemo } from 'react';
import { useNow } from '../access/useNow.ts';
import { useRecord } from '../data/useRecord.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Figures, type FigureOf } from '../design/Figures.tsx';
import { Segments } from '../design/Segments.tsx';
import { Problem } from '../design/Problem.tsx';
import { Text } from '../design/Text.tsx';
import { typedNumber } from '../design/typedNumber.ts';
import { GearFrame } from '../job/GearFrame.tsx';
import type { JobView } from '../job/JobView.ts';
import { useDeskDraft } from '../preferences/deskDraft.ts';
import { MaterialChoice } from '../desk/MaterialChoice.tsx';
import { minutesText } from '../wording/words.ts';
import { torqueText } from '../preferences/lengthText.ts';
import { FIELDS, LAY_OUT, NO_SAVING, savingOf, type SavingField, type TypedSaving, type Way } from './ways.ts';

/** The old part kept: bonded, staked, pressed, opened out or soldered, with what each carries. */
export const SaveScreen = () => (
  <GearFrame stage="match">
    {(view, card) =>
      !isMakeable(view.pack) ? (
        <Card tone="danger">
          <Text variant="danger" testID="never-saved">
            {t.noPartOfThisIs}
          </Text>
          <Text>{t.somebodyCouldBeHurtIt(view.pack.name)}</Text>
        </Card>
      ) : (
        <Saving view={view} card={card} />
      )
    }
  </GearFrame>
);

const WAY_WORDS: Readonly<Record<Way, string>> = { bond: t.bond, stake: t.stake, press: t.press, boreOut: t.boreOut, solder: t.solder };
/** Each field's words, with what its figure is kept in where it has a unit. */
const FIGURES: { readonly [Name in SavingField]: FigureOf<Name> } = {
  shaftMm: ['shaftMm', shared.shaftIn, 'mm'],
  boreMm: ['boreMm', t.boreNowIn, 'mm'],
  outerMm: ['outerMm', shared.hubOutsideIn, 'mm'],
  lengthMm: ['lengthMm', t.lengthOfTheSeatIn, 'mm'],
  rootMm: ['rootMm', t.rootsOfTheTeethIn, 'mm'],
  interferenceMm: ['interferenceMm', t.shallHoldByIn, 'mm'],
  gapMm: ['gapMm', t.gapWantedIn, 'mm'],
  strengthMPa: ['strengthMPa', t.shearStrengthOffTheSheet],
  sheetMinMm: ['sheetMinMm', t.sheetGapFromIn, 'mm'],
  sheetMaxMm: ['sheetMaxMm', t.sheetGapToIn, 'mm'],
  needNm: ['needNm', t.itHasToCarryIn, 'N·m'],
  cureMinutes: ['cureMinutes', t.sheetCuresInMinutes],
};
/** A saved part is looked at again after so many days unless somebody says otherwise (bench judgement). */
const LOOK_AGAIN_DAYS = 30;

const text = (value: number | undefined) => (value === undefined ? undefined : String(Number(value.toFixed(3))));

/** The desk as what was measured, and the way that was decided on, fill it in. */
function knownOf({ pack, state }: JobView, card: GearCard): Partial<TypedSaving> {
  const { shaftMm, boreMm, lengthMm, outerMm, material } = seatOfGear(pack, card.body, state.gears[card.id]);
  const [remedy] = remediesOfJob(pack, state);
  const holding = remedy ? seatStrength(remedy, {}) : null;
  const said = {
    shaftMm: text(shaftMm),
    boreMm: text(boreMm),
    lengthMm: text(lengthMm),
    outerMm: text(outerMm),
    rootMm: text(outerMm),
    needNm: text(holding?.needNm ?? undefined),
    way: holding?.way,
    material,
  };
  return Object.fromEntries(Object.entries(said).filter(([, value]) => value !== undefined));
}

function Saving({ view, card }: { view: JobView; card: GearCard }) {
  const { job } = view;
  const { write, problem } = useRecord(job.id);
  const known = useMemo(() => knownOf(view, card), [view, card]);
  const { draft, set } = useDeskDraft<TypedSaving>(`save/${card.id}`, { jobId: job.id, known, empty: NO_SAVING });
  const found = savingOf(draft);
  const need = typedNumber(draft.needNm);
  const cure = typedNumber(draft.cureMinutes);
  const keep = () => {
    if (typeof found === 'string') return;
    void write({
      kind: 'partSaved',
      gear: card.id,
      way: draft.way,
      figures: `${WAY_WORDS[draft.way].toLowerCase()}: ${found.lines.join('; ')}`,
      ...(found.torqueNm !== null && { torqueNm: found.torqueNm }),
      ...(draft.way === 'bond' && cure > 0 && { cureMinutes: cure }),
      lookAgainOn: format(addDays(new Date(), LOOK_AGAIN_DAYS), 'yyyy-MM-dd'),
    });
  };
  return (
    <>
      <Text variant="title">{t.save(card.name)}</Text>
      <Segments
        label={shared.how}
        options={(['bond', 'stake', 'press', 'boreOut', 'solder'] as const).map((way) => [way, WAY_WORDS[way]] as const)}
        value={draft.way}
        onChange={(way) => set({ way })}
      />
      <Card>
        {draft.way === 'stake' || draft.way === 'press' ? (
          <MaterialChoice label={t.hubOf} value={draft.material} testID="saving-material" onChange={(material) => set({ material })} />
        ) : null}
        <Figures
          typed={draft}
          fields={[...FIELDS[draft.way], 'needNm' as const].map((name): FigureOf<SavingField> => FIGURES[name])}
          onChange={set}
          testID={(name) => `saving-${name}`}
        />
      </Card>
      {typeof found === 'string' ? (
        <Text>{found}</Text>
      ) : (
        <Card tone="next" testID="saving-figures">
          {found.lines.map((line) => (
            <Text key={line} variant="strong">
              {line}
            </Text>
          ))}
          {need > 0 && found.torqueNm !== null ? (
            <Text variant={found.torqueNm >= need ? 'body' : 'danger'}>
              {found.torqueNm >= need ? t.thatIsTimesWhatIt((found.torqueNm / need).toFixed(1)) : t.itHasToCarryNM(torqueText(need))}
            </Text>
          ) : null}
          {found.warnings.map((warning) => (
            <Text key={warning} variant="danger">
              {warning}
            </Text>
          ))}
          <Text variant="soft">{shared.layOut(LAY_OUT[draft.way])}</Text>
          <Button variant="primary" label={shared.itIsDone} testID="saved" onPress={keep} />
          <Problem text={problem} />
        </Card>
      )}
      <Done view={view} gear={card.id} />
    </>
  );
}

/** What was done, how long it still cures, the check afterwards, and the day it is looked at again. */
function Done({ view: { state }, gear }: { view: JobView; gear: string }) {
  const now = useNow(state.saved.some(({ cureMinutes }) => cureMinutes !== undefined));
  const done = state.saved.filter((each) => each.gear === gear);
  return (
    <>
      {done.map(({ entryId, at, figures, cureMinutes, lookAgainOn }) => {
        const left = cureMinutes === undefined ? 0 : cureMinutes - (now.getTime() - Date.parse(at)) / 60_000;
        return (
          <Card key={entryId} testID="saved-part">
            <Text variant="strong">{figures}</Text>
            {left > 0 ? <Text testID="cures">{t.curesForAnotherNoLoad(minutesText(left))}</Text> : null}
            <Text>{t.thenTurnItByHand}</Text>
            {lookAgainOn ? <Text variant="soft">{t.lookAtItAgainOn(format(parseISO(lookAgainOn), 'd MMMM yyyy'))}</Text> : null}
          </Card>
        );
      })}
    </>
  );
}
