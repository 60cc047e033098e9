import { motion, type Fault, type Pack } from '@patient-badger/core';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { Button } from '../design/Button.tsx';
import { Text } from '../design/Text.tsx';
import { useReducedMotion } from '../design/useScheme.ts';
import { DriveLine } from './DriveLine.tsx';
import { useTurning } from './useTurning.ts';

/** The chain in motion: sound, or with a suspected fault put in, so that one knows what to look for. */
export function MotionPanel({ pack, suspects }: { pack: Pack; suspects: readonly string[] }) {
  const shown = useMemo(
    () => suspects.flatMap((id) => pack.faults.filter((each) => each.id === id && modeOf(each))).slice(0, 4),
    [pack, suspects],
  );
  const [faultId, setFaultId] = useState<string | null>(null);
  const [running, setRunning] = useState(true);
  const calm = useReducedMotion();
  const fault = shown.find(({ id }) => id === faultId) ?? null;
  const output = useMemo(() => run(pack, fault), [pack, fault]);
  const angles = useTurning(output, output.ratios, running);
  const broken = fault && modeOf(fault) !== 'skips' ? fault.at : undefined;
  const last = pack.order.at(-1) ?? '';
  return (
    <View className="gap-3">
      <View role="radiogroup" aria-label="What to put into the chain" className="gap-2">
        <Button label="Sound chain" look={fault ? 'plain' : 'chosen'} checked={!fault} onPress={() => setFaultId(null)} />
        {shown.map(({ id, name }) => (
          <Button
            key={id}
            label={name}
            look={fault?.id === id ? 'chosen' : 'plain'}
            checked={fault?.id === id}
            onPress={() => setFaultId(id)}
          />
        ))}
      </View>
      <Text look="soft">
        {TURNS} turns put in at the top, under load.
        {output.inputTurnsToSee === undefined
          ? ''
          : ` It takes ${output.inputTurnsToSee.toFixed(1)} turns up there until ${nameOf(pack, last)} has moved 20° and shows it.`}
      </Text>
      <DriveLine pack={pack} motion={{ output, angles, brokenJoint: broken }} />
      {calm ? <Text look="soft">This device asks for no moving pictures: the words beside each station say what it does.</Text> : null}
      {calm ? null : <Button label={running ? 'Stop the chain' : 'Run the chain'} onPress={() => setRunning(!running)} />}
    </View>
  );
}

const TURNS = 10;

const modeOf = (fault: Fault) => fault.modes.find(({ mode }) => mode)?.mode;

const nameOf = (pack: Pack, id: string) => `the ${pack.driveline.bodies.find((body) => body.id === id)?.name?.toLowerCase() ?? id}`;

function run(pack: Pack, fault: Fault | null) {
  const mode = fault && modeOf(fault);
  return motion({
    driveline: pack.driveline,
    drive: [{ body: pack.order[0] ?? '', turns: TURNS }],
    held: [],
    faults: fault && mode ? [{ joint: fault.at, mode }] : [],
    underLoad: true,
    visibleDeg: 20,
    visibleMm: 2,
    watch: pack.order.at(-1),
  });
}
