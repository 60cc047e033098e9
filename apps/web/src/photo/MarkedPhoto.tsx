import { t } from '@patient-badger/wording/photo';
import { Image, View } from 'react-native';
import Svg, { Path } from 'react-native-svg';
import { strokePath, type Strokes } from './strokePath.ts';

/** Width to height of the photos as they are shown. */
export const PHOTO_SHAPE = 4 / 3;

/** A photo with the lines drawn on it. The white rim keeps them to be seen on any ground. */
export function MarkedPhoto({ hash, strokes, width }: { hash: string; strokes: Strokes; width: number }) {
  const height = width / PHOTO_SHAPE;
  return (
    <View style={{ width, height }} className="overflow-hidden rounded-md border-2 border-line">
      <Image
        source={{ uri: `/api/photos/${hash}` }}
        aria-label={strokes.length > 0 ? t.photoWithMarks : t.photo}
        style={{ width, height }}
      />
      <Svg width={width} height={height} style={{ position: 'absolute' }} pointerEvents="none" aria-hidden>
        {strokes.map((stroke, i) => (
          <Path key={i} d={strokePath(stroke, width, height)} fill="#D4380D" stroke="#FFFFFF" strokeWidth={1.5} />
        ))}
      </Svg>
    </View>
  );
}
