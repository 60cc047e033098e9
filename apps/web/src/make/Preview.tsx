import { View } from 'react-native';
import Svg, { Path } from 'react-native-svg';
import { useColours } from '../design/useColours.ts';

type Ring = readonly (readonly [number, number])[];

interface Props {
  readonly label: string;
  readonly outline: Ring;
  readonly holes: readonly Ring[];
  /** The one that came out, broken line over it. */
  readonly worn?: Ring | undefined;
}

const SIZE = 320;

/** The gear as it will be, a tooth upright, with the worn one over it. */
export function Preview({ label, outline, holes, worn }: Props) {
  const colours = useColours();
  const reach = 1.04 * Math.max(...[...outline, ...(worn ?? [])].map(([x, y]) => Math.hypot(x, y)));
  const path = (ring: Ring) => `M${ring.map(([x, y]) => `${x.toFixed(3)} ${(-y).toFixed(3)}`).join('L')}Z`;
  const fine = reach / 160;
  return (
    <View className="items-center" role="img" aria-label={label} testID="make-preview">
      <Svg width={SIZE} height={SIZE} viewBox={`${-reach} ${-reach} ${2 * reach} ${2 * reach}`} aria-hidden>
        <Path
          d={[outline, ...holes].map(path).join('')}
          fill={colours.sunken}
          fillRule="evenodd"
          stroke={colours.accent}
          strokeWidth={1.5 * fine}
        />
        {worn ? (
          <Path d={path(worn)} fill="none" stroke={colours.heat} strokeWidth={1.2 * fine} strokeDasharray={`${5 * fine} ${3 * fine}`} />
        ) : null}
      </Svg>
    </View>
  );
}
