import { boreReasons, FIT_USE_WORDS } from '@patient-badger/wording/judgements';
import { t } from '@patient-badger/wording/gear';
import { formatLength } from '@patient-badger/core';
import type { GearState } from '@patient-badger/core/job';
import type { GearCard } from '@patient-badger/core/machine';
import { useState } from 'react';
import { lengthUnit } from '../preferences/preferences.ts';
import { runOperation } from '../data/runOperation.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Text } from '../design/Text.tsx';
import { SEAT_VERDICTS, SEAT_WORDS } from '../wording/seatWords.ts';
import { SeatForm } from './SeatForm.tsx';

/** How the gear sits on its shaft: measured on both, judged by clearance and by how far it turns on the held shaft. */
export function SeatCard({ jobId, card, gear }: { jobId: string; card: GearCard; gear: GearState }) {
  const [open, setOpen] = useState(false);
  const unit = lengthUnit.use();
  if (open) return <SeatForm jobId={jobId} card={card} gear={gear} onClose={() => setOpen(false)} />;
  if (!gear.seat)
    return <Button label={t.itsSeatOnTheShaft} detail={t.roundDSquareKeySpline} testID="open-seat" onPress={() => setOpen(true)} />;
  const { kind: _, gear: __, ...question } = gear.seat;
  const worked = runOperation('fit.bore', question);
  const { bore, shaft } = question;
  const fit =
    bore.diameterMm && shaft.diameterMm
      ? runOperation('fit.limits', {
          nominalMm: Math.round(shaft.diameterMm.value * 2) / 2,
          measured: { boreMm: bore.diameterMm, shaftMm: shaft.diameterMm },
        })
      : null;
  return (
    <Card tone={worked.ok && worked.output.verdict !== 'replace' ? 'plain' : 'danger'}>
      <Text variant="label">{t.seatOnTheShaftWithValue(SEAT_WORDS[question.shape])}</Text>
      {worked.ok ? (
        <>
          <Text variant="head" testID="seat-verdict">
            {SEAT_VERDICTS[worked.output.verdict]}
          </Text>
          {boreReasons(worked.output).map((each) => (
            <Text key={each}>{each}</Text>
          ))}
          {worked.output.clearanceMm ? (
            <Text variant="soft">
              {t.boreBy(
                worked.output.clearanceMm.value < 0 ? t.tighter : t.wider,
                formatLength(Math.abs(worked.output.clearanceMm.value), unit),
                formatLength(worked.output.clearanceMm.plusMinus, unit),
                fit?.ok && fit.output.nearest
                  ? t.nearestFit(fit.output.nearest.hole, fit.output.nearest.shaft, FIT_USE_WORDS[fit.output.nearest.use])
                  : '',
              )}
            </Text>
          ) : null}
          {worked.output.standardKey ? (
            <Text variant="soft">{t.theUsualKeyForThis(worked.output.standardKey.widthMm, worked.output.standardKey.heightMm)}</Text>
          ) : null}
        </>
      ) : (
        <Text variant="danger">{worked.sentence}</Text>
      )}
      <Button variant="quiet" label={t.measureTheSeatAgain} onPress={() => setOpen(true)} />
    </Card>
  );
}
