import { t } from '@patient-badger/wording/access';
import { operations } from '../data/operations.ts';
import type { ClosingStep, LedgerLine } from '@patient-badger/core/machine';
import { View } from 'react-native';
import { Button } from '../design/Button.tsx';
import { Text } from '../design/Text.tsx';
import { isTurned, looseText, tightText } from './looseText.ts';
import { TorqueForm } from './TorqueForm.tsx';

export interface GoesBackProps {
  readonly jobId: string;
  readonly line: LedgerLine;
  readonly left: number;
  /** Something is left over: which? */
  readonly asked: boolean;
  readonly onLeft: (count: number) => void;
}

/** A kind of fastener on its way back; what is left over is said, so that nobody finds it in the tray next week. */
export function GoesBack({ jobId, line: { step, item, onTray }, left, asked, onLeft }: GoesBackProps) {
  const tight = tightText(item);
  return (
    <View className="border-l-4 border-line pl-3">
      <Text variant="strong">
        {looseText({ ...item, count: onTray - left })} → {item.lives}
      </Text>
      {tight ? <Text variant="soft">{tight}</Text> : null}
      {isTurned(item) && !item.intoPlastic ? <TorqueForm jobId={jobId} step={step} item={item.id} known={item.torque} /> : null}
      {asked ? (
        <View className="flex-row gap-2">
          {left > 0 ? <Text className="flex-1 self-center">{t.leftOverStaysInThe(left)}</Text> : null}
          <Button
            variant="quiet"
            label={t.oneIsLeftOver}
            disabled={left >= onTray}
            testID={`left-over-${item.id}`}
            onPress={() => onLeft(left + 1)}
          />
          {left > 0 ? <Button variant="quiet" label={t.allGoBack} onPress={() => onLeft(0)} /> : null}
        </View>
      ) : null}
    </View>
  );
}

/** How tight a pass goes: the first just snug, the last to the full figure. */
function shareText(pass: number, share: number): string {
  if (share >= 1) return t.toTheFullFigure;
  return pass === 1 ? t.snugAllRound : t.toPercent(Math.round(100 * share));
}

/** The order of the screws and the passes; the maker's own order comes first. */
export function Tightening({ tighten }: { tighten: NonNullable<ClosingStep['tighten']> }) {
  const { order, passes } = operations.run('setup.tighteningOrder', tighten);
  return (
    <View className="border-l-4 border-accent pl-3">
      <Text variant="strong">{t.tightenInThisOrder(order.join(' – '))}</Text>
      <Text variant="soft">
        {t.theMakersSheetComesFirst(
          tighten.pattern === 'circle' ? t.screw1AtTheTop : t.screw1TopLeftIn(tighten.columns),
          passes.map(({ pass, share }) => t.pass(pass, shareText(pass, share))).join('; '),
        )}
      </Text>
    </View>
  );
}
