import { t } from '@patient-badger/wording/decide';
import { t as shared } from '@patient-badger/wording/shared';
import type { OptionDraft } from './decision.ts';
import { typedNumber } from '../design/typedNumber.ts';

/** An option as it stands in its fields. */
export interface TypedOption {
  readonly name: string;
  readonly parts: string;
  readonly minutes: string;
  readonly leadDays: string;
  readonly life: string;
  readonly comeBack: string;
  readonly downtime: string;
  readonly leaves: string;
}

const text = (value: number) => String(Number(value.toFixed(2)));

export const typedOption = ({
  name,
  partsMinor,
  minutes,
  leadDays,
  lifeMean,
  comeBackRisk,
  downtimeDays,
  leaves,
}: OptionDraft): TypedOption => ({
  name,
  leaves,
  parts: partsMinor === null ? '' : text(partsMinor / 100),
  minutes: text(minutes),
  leadDays: text(leadDays),
  // Nobody knows a long life to the hundredth: miles of a guide in kilometres are whole.
  life: text(lifeMean >= 1000 ? Math.round(lifeMean) : lifeMean),
  comeBack: text(comeBackRisk * 100),
  downtime: text(downtimeDays),
});

type Problems = Readonly<Partial<Record<keyof TypedOption, string>>>;
const BOUNDS: Readonly<Partial<Record<keyof TypedOption, readonly [number, number, string]>>> = {
  minutes: [0, 100_000, t.minutesAsOneNumber],
  leadDays: [0, 3650, t.daysAsOneNumberUp],
  life: [0.001, 1e8, t.howLongItLastsAbove],
  comeBack: [0, 100, t.ofAHundred0To],
  downtime: [0, 3650, t.daysAsOneNumberUp],
};

/** What was typed as an option; or what is wrong with which field. An empty price is none yet. */
export function readOption(draft: OptionDraft, typed: TypedOption): { readonly option: OptionDraft } | { readonly problems: Problems } {
  const parts = typed.parts.trim() === '' ? null : typedNumber(typed.parts);
  const problems: Problems = {
    ...(typed.name.trim() === '' && { name: shared.sayWhatItIs }),
    ...(parts !== null && !(parts >= 0 && parts <= 1e6) && { parts: t.thePriceAsOneNumber }),
    ...Object.fromEntries(
      Object.entries(BOUNDS).flatMap(([field, [least, most, words]]) => {
        const value = typedNumber(typed[field as keyof TypedOption]);
        return value >= least && value <= most ? [] : [[field, words]];
      }),
    ),
    ...(draft.kind === 'bypass' && typed.leaves.trim() === '' && { leaves: t.sayWhatTheMachineCannot }),
  };
  if (Object.keys(problems).length > 0) return { problems };
  return {
    option: {
      ...draft,
      name: typed.name.trim(),
      partsMinor: parts === null ? null : Math.round(parts * 100),
      minutes: typedNumber(typed.minutes),
      leadDays: typedNumber(typed.leadDays),
      lifeMean: typedNumber(typed.life),
      comeBackRisk: typedNumber(typed.comeBack) / 100,
      downtimeDays: typedNumber(typed.downtime),
      leaves: typed.leaves.trim(),
    },
  };
}
