import { t } from '@patient-badger/wording/practice';
import { t as shared } from '@patient-badger/wording/shared';
import type { Pack } from '@patient-badger/core/machine';
import { View } from 'react-native';
import { useShop } from '../data/shop.ts';
import { Card } from '../design/Card.tsx';
import { Bar } from '../design/Meter.tsx';
import { Text } from '../design/Text.tsx';
import { faultName } from '../wording/faultName.ts';
import { worthWord } from '../wording/lookWords.ts';
import { resultName } from '@patient-badger/wording/results';
import { bitsText, minutesText, money } from '../wording/words.ts';
import { type PracticeDeal, type Score } from './kept.ts';

interface Props {
  readonly pack: Pack;
  readonly now: PracticeDeal;
  readonly verdict: string;
  readonly score: Score;
}

/** What it was, what each look promised and told, what it cost, and which way the advice would have gone. */
export function Ended({ pack, now, verdict, score }: Props) {
  const currency = useShop().data?.currency ?? 'EUR';
  const { fault, right, looks } = score;
  const nameOf = (look: string) => pack.looks.find(({ id }) => id === look)?.name ?? look;
  return (
    <>
      <Card tone={right ? 'next' : 'danger'}>
        <Text variant="title" testID="practice-outcome">
          {right ? t.right : t.itWasSomethingElse}
          {faultName(pack, fault)}
        </Text>
        {right ? null : <Text>{t.youSaidWhatIsDone(faultName(pack, verdict))}</Text>}
        <Text>{pack.faults.find(({ id }) => id === fault)?.tell}</Text>
        <Text variant="figure">
          {minutesText(score.minutes)} · {money(score.costMinor, currency)}
        </Text>
      </Card>

      <Text variant="head">{t.yourLooks}</Text>
      {looks.length === 0 ? <Text>{t.youTookNone}</Text> : null}
      {looks.length > 0 ? <Text variant="soft">{t.theBarIsHowMuch}</Text> : null}
      {looks.map(({ look, minutes, couldTellBits, toldBits }, i) => (
        <View key={i} className="gap-1 border-l-4 border-line pl-3" testID={`worth-${i}`}>
          <Text variant="strong">
            {i + 1}. {nameOf(look)}, {minutesText(minutes)}
          </Text>
          <Text>{resultName(pack, look, now.taken[i]?.result ?? '')}</Text>
          <Bar share={Math.min(1, couldTellBits / FULL_BAR_BITS)} />
          <Text variant="soft">{t.itPromisedItTold(worthWord(couldTellBits), toldText(toldBits))}</Text>
        </View>
      ))}

      <AsAdvised pack={pack} score={score} nameOf={nameOf} />
    </>
  );
}

/** A look that tells two bits leaves a quarter of the doubt: more is seldom had. */
const FULL_BAR_BITS = 2;
/** Less than this moved nothing that anybody would notice. */
const NOTHING_BITS = 0.1;

const toldText = (bits: number): string => {
  if (Math.abs(bits) < NOTHING_BITS) return 'nothing.';
  return bits > 0 ? `${bitsText(bits)}.` : t.itMisled(bitsText(bits));
};

interface AsAdvisedProps {
  readonly pack: Pack;
  readonly score: Score;
  readonly nameOf: (look: string) => string;
}

/** The way of the advice on the same machine, with the same misreadings. */
function AsAdvised({ pack, score: { fault, minutes, engineLooks, engineMinutes, engineVerdict }, nameOf }: AsAdvisedProps) {
  const shorter = minutes - engineMinutes;
  return (
    <>
      <Text variant="head">{t.theAdviceOnTheSame}</Text>
      <Text testID="practice-advice">
        {minutesText(engineMinutes)}
        {Math.abs(shorter) < 0.5 ? t.asLongAsYou : t.thanYou(minutesText(Math.abs(shorter)), shorter > 0 ? shared.less : shared.more)}.{' '}
        {engineVerdict === fault ? t.itNamesTheRightFault : wrongText(pack, engineVerdict)}
      </Text>
      {engineLooks.map((look, i) => (
        <Text key={`${look} ${i}`}>
          {i + 1}. {nameOf(look)}
        </Text>
      ))}
    </>
  );
}

const wrongText = (pack: Pack, verdict: string | null) =>
  verdict === null ? t.itRunsOutOfLooks : t.itIsMisledAndNames(faultName(pack, verdict));
