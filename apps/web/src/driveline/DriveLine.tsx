import { bodiesOf, type Joint, type MotionOutput, type Pack, type TraceOutput } from '@patient-badger/core';
import { Pressable, View } from 'react-native';
import { Meter } from '../design/Meter.tsx';
import { Text } from '../design/Text.tsx';
import { useColours } from '../design/useColours.ts';
import { BranchGlyph } from './BranchGlyph.tsx';
import { LinkGlyph } from './LinkGlyph.tsx';
import { StationGlyph } from './StationGlyph.tsx';
import { stationShape } from './stationShape.ts';
import { stationWords } from './stationWords.ts';

interface Props {
  readonly pack: Pack;
  /** Tracing clothes: how much suspicion each place carries, and where the next look is. */
  readonly trace?: TraceOutput;
  /** How deep each place lies: opening steps still to do, by place. */
  readonly depth?: Readonly<Record<string, number>>;
  /** In motion: what each body does, and the angle it has turned to. */
  readonly motion?: { readonly output: MotionOutput; readonly angles: Readonly<Record<string, number>>; readonly brokenJoint?: string };
  readonly onPlace?: (place: string) => void;
}

/** The chain from the driver at the top to the output at the bottom; the one picture of the whole job. */
export function DriveLine({ pack, trace, depth, motion, onPlace }: Props) {
  const colours = useColours();
  const nextAt = trace?.next ? pack.looks.find(({ id }) => id === trace.next?.look)?.at : undefined;
  const suspicion = suspicionByPlace(trace);
  return (
    <View role="list" aria-label="Drive line">
      {pack.order.map((id, i) => {
        const joint = i === 0 ? undefined : jointBetween(pack, pack.order[i - 1] ?? '', id);
        const beside = pack.outliers.filter((each) => each.beside === id);
        return (
          <View key={id} role="listitem">
            {joint ? (
              <Place
                glyph={
                  <LinkGlyph
                    type={joint.type}
                    colours={colours}
                    lit={nextAt === joint.id || verdictAt(pack, trace) === joint.id}
                    broken={motion?.brokenJoint === joint.id}
                  />
                }
                name={joint.name ?? joint.id}
                chance={trace ? suspicion[joint.id] : undefined}
                next={nextAt === joint.id}
                depth={depth?.[joint.id]}
                quiet
                run={motion?.brokenJoint === joint.id ? undefined : 'through'}
                onPress={onPlace && (() => onPlace(joint.id))}
              />
            ) : null}
            <Place
              glyph={
                <StationGlyph
                  shape={stationShape(pack.driveline, id, i === 0)}
                  angle={motion?.angles[id] ?? 0}
                  colours={colours}
                  lit={nextAt === id}
                />
              }
              name={pack.driveline.bodies.find((body) => body.id === id)?.name ?? id}
              chance={trace && !motion ? suspicion[id] : undefined}
              run={runOf(i, pack.order.length)}
              words={motion ? stationWords(motion.output.bodies[id]) : undefined}
              next={nextAt === id}
              depth={depth?.[id]}
              onPress={onPlace && (() => onPlace(id))}
            />
            {(motion ? [] : beside).map((each) => (
              <Place
                key={each.id}
                name={each.name}
                glyph={<BranchGlyph colours={colours} lit={nextAt === each.id} last={i === pack.order.length - 1} />}
                chance={trace ? suspicion[each.id] : undefined}
                next={nextAt === each.id}
                depth={depth?.[each.id]}
                aside
                run={i === pack.order.length - 1 ? undefined : 'through'}
                onPress={onPlace && (() => onPlace(each.id))}
              />
            ))}
          </View>
        );
      })}
    </View>
  );
}

function runOf(i: number, count: number): keyof typeof RUN {
  if (i === 0) return 'below';
  return i === count - 1 ? 'above' : 'through';
}

interface PlaceProps {
  readonly name: string;
  readonly glyph?: React.ReactNode;
  readonly chance?: number;
  readonly words?: string;
  readonly next: boolean;
  readonly depth?: number;
  readonly quiet?: boolean;
  readonly aside?: boolean;
  /** How the shaft runs behind the sign, so that the chain is one line however high the words make the row. */
  readonly run?: keyof typeof RUN;
  readonly onPress?: () => void;
}

const RUN = { through: 'bottom-0 top-0', below: 'bottom-0 top-1/2', above: 'bottom-1/2 top-0' } as const;

function Place({ name, glyph, chance, words, next, depth, quiet = false, aside = false, run, onPress }: PlaceProps) {
  return (
    <Pressable disabled={!onPress} onPress={onPress} className="flex-row items-center gap-3">
      {run ? <View aria-hidden className={`absolute left-[32.5px] w-[3px] bg-soft ${RUN[run]}`} /> : null}
      {/* A view of its own lies above the run; a bare drawing would lie below. */}
      {glyph ? <View>{glyph}</View> : null}
      <View className={`flex-1 ${next ? 'rounded-md border-2 border-heat px-2 py-1' : ''}`}>
        <View className="flex-row flex-wrap items-baseline gap-x-2">
          <Text look={quiet || aside ? 'soft' : 'strong'} className={quiet || aside ? 'text-ink' : ''}>
            {name}
          </Text>
          {depth ? (
            <Text look="soft">
              {depth} {depth === 1 ? 'step' : 'steps'} in
            </Text>
          ) : null}
          {next ? (
            <Text look="label" className="text-heat">
              next look
            </Text>
          ) : null}
        </View>
        {words ? <Text look="soft">{words}</Text> : null}
        {chance !== undefined && chance >= 0.005 ? <Meter chance={chance} /> : null}
      </View>
    </Pressable>
  );
}

const jointBetween = (pack: Pack, above: string, below: string): Joint | undefined =>
  pack.driveline.joints.find((joint) => {
    const bodies = bodiesOf(joint);
    return bodies.includes(above) && bodies.includes(below);
  });

const verdictAt = (pack: Pack, trace: TraceOutput | undefined) => pack.faults.find(({ id }) => id === trace?.verdict?.fault)?.at;

function suspicionByPlace(trace: TraceOutput | undefined): Record<string, number> {
  const sums: Record<string, number> = {};
  for (const { at, probability } of trace?.suspects ?? []) sums[at] = (sums[at] ?? 0) + probability;
  return sums;
}
