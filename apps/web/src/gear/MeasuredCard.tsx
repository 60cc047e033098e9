import type { LengthUnit } from '@patient-badger/core';
import type { GearQuantity } from '@patient-badger/core/gear';
import type { GearState } from '@patient-badger/core/job';
import type { GearCard } from '@patient-badger/core/machine';
import { useState, type ReactNode } from 'react';
import { t } from '@patient-badger/wording/gear';
import { Text } from '../design/Text.tsx';
import type { JobView } from '../job/JobView.ts';
import { lengthUnit } from '../preferences/preferences.ts';
import { ByHand } from './ByHand.tsx';
import type { CandidateLine } from './candidateLine.ts';
import { CandidateList } from './CandidateList.tsx';
import { CardTools } from './CardTools.tsx';
import { Disagreeing } from './Disagreeing.tsx';
import { FindParts } from './FindParts.tsx';
import { MoreReadings } from './MoreReadings.tsx';
import { Contradiction, NextReading } from './NextReading.tsx';
import type { QuantityWords } from './QuantityWords.ts';
import { ReadPad } from './ReadPad.tsx';
import { readValues } from './readValues.ts';
import { gearOn } from './gearOn.ts';

/** A dimension to be read; over so many teeth where it is a span. */
interface Reading<Quantity> {
  readonly quantity: Quantity;
  readonly over?: number;
}

/** The gear on the card: what was read, which it may be, best first, and the one that is picked. */
export interface OnCard<Candidate> {
  readonly gear: GearState;
  readonly picked: Candidate | undefined;
}

export interface DrawnCard<Quantity extends GearQuantity, Candidate> extends OnCard<Candidate> {
  readonly values: Readonly<Partial<Record<Quantity, string>>>;
  readonly advised: Quantity | undefined;
  readonly onPick: (quantity: Quantity) => void;
}

export interface MeasuredCardProps<Quantity extends GearQuantity, Candidate> {
  readonly view: JobView;
  readonly card: GearCard;
  readonly words: Readonly<Record<Quantity, QuantityWords>>;
  readonly heading: string;
  readonly begin: string;
  /** Which it may be, best first; no data while nothing was measured; of what was read before while it is worked out again. */
  readonly identified: {
    readonly data: { readonly candidates: readonly Candidate[]; readonly noneOfTheseProbability: number } | undefined;
    readonly error: Error | null;
    readonly isPlaceholderData?: boolean;
  };
  readonly line: (candidate: Candidate, unit: LengthUnit) => CandidateLine;
  readonly drawing: (drawn: DrawnCard<Quantity, Candidate>) => ReactNode;
  /** Dimensions that have no callout on the drawing. */
  readonly more?: readonly Quantity[];
  /** What is worth reading next, with how and why. */
  readonly next?: (Reading<Quantity> & { readonly name: string; readonly how: string; readonly why: string }) | null | undefined;
  /** A caliper that speaks is at hand. */
  readonly caliper?: boolean | undefined;
  /** Beside the readings: what else tells of the gear. */
  readonly beside?: ReactNode;
  /** Of the picked candidate: wear, mate. */
  readonly ofPicked?: (picked: Candidate, gear: GearState) => ReactNode;
  /** What this kind can be put to besides. */
  readonly extra?: (on: OnCard<Candidate>) => ReactNode;
}

/** The card of a gear, one for every kind: what was read on a drawing, what to read next, which it was, and on to the parts that fit. */
export function MeasuredCard<Quantity extends GearQuantity, Candidate>({
  view,
  card,
  words,
  heading,
  begin,
  identified: { data, error, isPlaceholderData: isOld = false },
  line,
  drawing,
  more = [],
  next: advice,
  caliper,
  beside,
  ofPicked,
  extra,
}: MeasuredCardProps<Quantity, Candidate>) {
  const unit = lengthUnit.use();
  const [asked, setAsked] = useState<Reading<Quantity> | null>(null);
  /** What was kept last, while the next one is waited for. */
  const [kept, setKept] = useState<Quantity | null>(null);
  const [pressed, setPressed] = useState<string | null>(null);
  const gear = gearOn(view, card);
  const ranked = (data?.candidates ?? []).map((candidate) => ({ candidate, line: line(candidate, unit) }));
  const picked = ranked.find((each) => each.line.key === pressed) ?? ranked[0];
  const next = error || isOld ? null : advice;
  // The next one comes once what was kept has been worked with: it is another then.
  if (kept !== null && next && asked === null && next.quantity !== kept) {
    setKept(null);
    setAsked(next);
  }
  const values = readValues(gear, words, unit);
  const onPick = (quantity: Quantity) => setAsked({ quantity });
  const on = { gear, picked: picked?.candidate };
  return (
    <>
      <Text variant="title">{card.name}</Text>
      {drawing({ ...on, values, advised: next?.quantity, onPick })}
      {asked ? (
        <ReadPad
          view={view}
          card={card}
          quantity={asked.quantity}
          words={words[asked.quantity]}
          over={asked.over}
          caliper={caliper}
          onClose={() => setAsked(null)}
          onNext={advice === undefined ? undefined : () => setKept(asked.quantity)}
        />
      ) : null}
      {more.length > 0 ? <MoreReadings quantities={more} values={values} words={words} onPick={onPick} /> : null}
      {beside}
      {next ? <NextReading name={next.name} how={next.how} why={next.why} onPress={() => setAsked(next)} /> : null}
      <Disagreeing readings={gear.readings} words={words} />
      {isOld && !error ? <Text variant="soft">{t.workingItOutAgain}</Text> : null}
      {error ? <Contradiction error={error} /> : null}
      <CandidateList
        heading={heading}
        begin={begin}
        lines={error || !data ? undefined : ranked.map((each) => each.line)}
        noneOfThese={data?.noneOfTheseProbability}
        picked={picked?.line.key}
        onPick={setPressed}
      />
      {picked && !error ? ofPicked?.(picked.candidate, gear) : null}
      <CardTools jobId={view.job.id} card={card} gear={gear} />
      {extra?.(on)}
      {picked && !error ? <FindParts jobId={view.job.id} gear={card.id} pick={picked.line.key} /> : null}
      <ByHand view={view} card={card} />
    </>
  );
}
