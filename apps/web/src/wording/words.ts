import { t } from '@patient-badger/wording/shared';

/** A chance in a word of the bench. */
export function likelihoodWord(chance: number): string {
  if (chance >= 0.9) return t.almostSure;
  if (chance >= 0.6) return t.veryLikely;
  if (chance >= 0.3) return 'likely';
  if (chance >= 0.1) return 'possible';
  if (chance >= 0.02) return 'unlikely';
  return t.nearlyOut;
}

export function percent(chance: number): string {
  if (chance > 0 && chance < 0.01) return '< 1 %';
  if (chance < 1 && chance > 0.99) return '> 99 %';
  return `${Math.round(chance * 100)} %`;
}

/** Minutes as people say them. @example minutesText(12.4) // '12 min' @example minutesText(300) // '5 h' */
export function minutesText(minutes: number): string {
  if (minutes < 1) return `${Math.round(minutes * 60)} s`;
  if (minutes < 10) return `${minutes % 1 === 0 ? minutes : minutes.toFixed(1)} min`;
  const whole = Math.round(minutes);
  if (whole < 60) return `${whole} min`;
  return whole % 60 === 0 ? `${whole / 60} h` : `${Math.floor(whole / 60)} h ${whole % 60} min`;
}

/** What a piece of evidence did to a suspect, in words; a bit is a doubling or halving of the odds. */
export function bitsText(bits: number): string {
  const size = Math.abs(bits);
  const way = bits > 0 ? t.forIt : t.againstIt;
  if (size >= 3) return t.veryStrongly(way);
  if (size >= 1.5) return t.strongly(way);
  if (size >= 0.5) return t.speaks(way);
  return t.aLittleWithWay(way);
}

/** A wait as people say it. @example daysText(1) // 'a day' */
export const daysText = (days: number): string => {
  if (days === 0) return t.atOnce;
  return days === 1 ? t.aDay : t.days(days);
};

export const money = (minor: number, currency: string) =>
  new Intl.NumberFormat('en-IE', { style: 'currency', currency, currencyDisplay: 'code' }).format(minor / 100);
