import { t } from '@patient-badger/wording/driveline';
import { t as shared } from '@patient-badger/wording/shared';
import { operations } from '../data/operations.ts';
import type { Fault, Pack } from '@patient-badger/core/machine';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { Button } from '../design/Button.tsx';
import { Segments } from '../design/Segments.tsx';
import { Text } from '../design/Text.tsx';
import { DriveLine } from './DriveLine.tsx';
import { placeName } from './placeName.ts';
import { useTurning } from './useTurning.ts';
import { useReducedMotion } from '../design/useMedia.ts';

/** How many suspects are offered before one asks for more. */
const FIRST = 4;

/** The chain in motion: sound, and beside it with a suspected fault put in, so that one knows what to look for. */
export function MotionPanel({ pack, suspects }: { pack: Pack; suspects: readonly string[] }) {
  const moving = useMemo(() => suspects.flatMap((id) => pack.faults.filter((each) => each.id === id && modeOf(each))), [pack, suspects]);
  const [faultId, setFaultId] = useState<string | null>(null);
  const [all, setAll] = useState(false);
  const [running, setRunning] = useState(true);
  const [speed, setSpeed] = useState<'slow' | 'fast'>('slow');
  const calm = useReducedMotion();
  const shown = all ? moving : moving.slice(0, FIRST);
  const fault = moving.find(({ id }) => id === faultId) ?? null;
  const turns = useMemo(() => turnsToPutIn(pack), [pack]);
  const sound = useMemo(() => run(pack, null, turns), [pack, turns]);
  const faulty = useMemo(() => (fault ? run(pack, fault, turns) : null), [pack, fault, turns]);
  const turning = useTurning(running, speed === 'fast' ? 12 : 1);
  const mode = fault && modeOf(fault);
  const chains = [
    { output: sound, angles: turning(sound, turns) },
    ...(faulty ? [{ output: faulty, angles: turning(faulty, turns), fault: fault && mode ? { joint: fault.at, mode } : undefined }] : []),
  ];
  return (
    <View className="gap-3">
      <View role="radiogroup" aria-label={t.whatToPutIntoThe} className="gap-2">
        <Button label={t.soundChain} variant={fault ? 'plain' : 'chosen'} checked={!fault} onPress={() => setFaultId(null)} />
        {shown.map(({ id, name }) => (
          <Button
            key={id}
            label={name}
            variant={fault?.id === id ? 'chosen' : 'plain'}
            checked={fault?.id === id}
            onPress={() => setFaultId(id)}
          />
        ))}
        {moving.length > shown.length ? (
          <Button variant="quiet" label={t.moreFaultsThatShowIn(moving.length - shown.length)} onPress={() => setAll(true)} />
        ) : null}
      </View>
      <Text variant="soft">
        {t.turnsPutInAtThe(turns, placeName(pack, pack.order[0] ?? '').toLowerCase(), sound.endStop ? t.theChainComesToThe : '')}
      </Text>
      {fault ? (
        <View className="flex-row gap-2">
          <Text variant="label" className="w-[68px] text-center">
            {t.sound}
          </Text>
          <Text variant="label" className="w-[68px] text-center text-heat">
            {t.withIt}
          </Text>
        </View>
      ) : null}
      <DriveLine pack={pack} chains={chains} />
      {calm ? <Text variant="soft">{t.thisDeviceAsksForNo}</Text> : null}
      {calm ? null : (
        <>
          <Segments
            label={t.speed}
            options={[
              ['slow', shared.byHand],
              ['fast', t.byDrill],
            ]}
            value={speed}
            onChange={setSpeed}
          />
          <Button label={running ? t.stopTheChain : t.runTheChain} onPress={() => setRunning(!running)} />
        </>
      )}
    </View>
  );
}

const modeOf = (fault: Fault) => fault.modes.find(({ mode }) => mode)?.mode;

/** A round number of turns after which the slowest body has moved for all to see. */
function turnsToPutIn(pack: Pack): number {
  const { ratios } = run(pack, null, 1);
  const slowest = pack.driveline.bodies
    .map(({ id, kind }) => Math.abs(ratios[id] ?? 0) / (kind === 'slider' ? 2 : 20 / 360))
    .filter((rate) => rate > 0);
  const needed = 1 / Math.min(...slowest, 1);
  return [10, 20, 50, 100, 200, 500, 1000].find((turns) => turns >= needed) ?? Math.ceil(needed / 1000) * 1000;
}

function run(pack: Pack, fault: Fault | null, turns: number) {
  const mode = fault && modeOf(fault);
  return operations.run('driveline.motion', {
    driveline: pack.driveline,
    drive: [{ body: pack.order[0] ?? '', turns }],
    held: [],
    faults: fault && mode ? [{ joint: fault.at, mode }] : [],
    underLoad: true,
    visibleDeg: 20,
    visibleMm: 2,
  });
}
