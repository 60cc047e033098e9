import { entryLine, type EntryNames } from '@patient-badger/wording/entryLines';
import { resultName } from '@patient-badger/wording/results';
import type { EntryPayload } from '@patient-badger/core/job';
import type { Pack } from '@patient-badger/core/machine';
import { SNAGS } from '@patient-badger/knowledge';
import { quantityWords } from '../gear/kinds.ts';
import { attributeName } from '../wording/attributeWords.ts';
import { intervalText } from '../wording/intervalText.ts';
import { OPTION_WORDS } from '../wording/optionWords.ts';
import { PIECE_WORDS } from '../wording/pieceWords.ts';
import { offText } from '../wording/ratioWords.ts';
import { readingText } from '../wording/readingText.ts';
import { SEAT_WORDS } from '../wording/seatWords.ts';

interface Named {
  readonly id: string;
  readonly name: string;
}

/** What things are called in this family; an id that it does not know stands for itself. */
function namesOf(pack: Pack): EntryNames {
  const nameIn = (list: readonly Named[]) => (id: string) => list.find((one) => one.id === id)?.name ?? id;
  const stepAt = (id: string) => pack.steps.find((step) => step.id === id);
  return {
    look: nameIn(pack.looks),
    result: (look, result) => resultName(pack, look, result),
    reading: readingText,
    fault: nameIn(pack.faults),
    step: nameIn(pack.steps),
    closing: nameIn([...pack.closing, ...pack.steps]),
    snag: nameIn(SNAGS),
    capture({ step, capture }) {
      return stepAt(step)?.captures.find(({ id }) => id === capture) ?? { ask: capture, back: capture };
    },
    loose: ({ step, item }) => nameIn(stepAt(step)?.loose ?? [])(item),
    wait: nameIn([...pack.steps, ...pack.closing].flatMap(({ wait }) => wait ?? [])),
    extra: nameIn(pack.whileOpen),
    caution: (caution) => pack.cautions.find(({ id }) => id === caution)?.text ?? caution,
    gear: nameIn(pack.gears),
    quantity: (quantity) => quantityWords(quantity).name,
    piece: (piece) => PIECE_WORDS[piece].choice,
    seat: (shape) => SEAT_WORDS[shape],
    attribute: attributeName,
    off: offText,
    option: (option) => (Object.hasOwn(OPTION_WORDS, option) ? OPTION_WORDS[option as keyof typeof OPTION_WORDS].toLowerCase() : option),
    interval: intervalText,
    proof: (proof) => ({ name: nameIn(pack.proofs)(proof), unit: pack.proofs.find(({ id }) => id === proof)?.figure?.unit ?? '' }),
  };
}

/** One entry as a line of the log. */
export const describeEntry = (payload: EntryPayload, pack: Pack): string => entryLine(payload, namesOf(pack));
