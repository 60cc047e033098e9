import { t } from '@patient-badger/wording/photo';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { useRef, useState } from 'react';
import { View, type GestureResponderEvent } from 'react-native';
import { useRecord } from '../data/useRecord.ts';
import { Button } from '../design/Button.tsx';
import { Problem } from '../design/Problem.tsx';
import { Text } from '../design/Text.tsx';
import { JobFrame } from '../job/JobFrame.tsx';
import type { JobView } from '../job/JobView.ts';
import { MarkedPhoto, PHOTO_SHAPE } from './MarkedPhoto.tsx';
import { placeOn } from './placeOn.ts';
import type { Strokes } from './strokePath.ts';

/** Lines drawn on a photo with a finger: an arrow to the clip, a ring round the mark. */
export function MarkPhotoScreen() {
  const { hash } = useLocalSearchParams<{ hash: string }>();
  return (
    <JobFrame stage="open" back={(id) => `/jobs/${id}/open`}>
      {(view) => <Drawing key={hash} view={view} hash={hash} />}
    </JobFrame>
  );
}

function Drawing({ view: { job, state }, hash }: { view: JobView; hash: string }) {
  const router = useRouter();
  const { write, problem } = useRecord(job.id);
  const [strokes, setStrokes] = useState<Strokes>(state.photoMarks[hash] ?? []);
  const [width, setWidth] = useState(0);
  const board = useRef<View>(null);
  const height = width / PHOTO_SHAPE;
  const place = (event: GestureResponderEvent) => placeOn(board, event);
  const begin = (event: GestureResponderEvent) => {
    const at = place(event);
    setStrokes((was) => [...was, [at]]);
  };
  const draw = (event: GestureResponderEvent) => {
    const at = place(event);
    setStrokes((was) => was.map((stroke, i) => (i === was.length - 1 && stroke.length < 400 ? [...stroke, at] : stroke)));
  };
  const keep = async () => {
    const drawn = strokes.map((stroke) => stroke.map(([x, y]): [number, number] => [x, y]));
    if (await write({ kind: 'photoMarked', hash, strokes: drawn })) router.back();
  };
  return (
    <>
      <Text variant="title">{t.markThePhoto}</Text>
      <Text>{t.drawWithAFingerA}</Text>
      <View className="w-full" onLayout={({ nativeEvent }) => setWidth(nativeEvent.layout.width)}>
        {width > 0 ? (
          <View
            ref={board}
            testID="board"
            style={{ width, height, touchAction: 'none', cursor: 'crosshair' } as object}
            onStartShouldSetResponder={() => true}
            onMoveShouldSetResponder={() => true}
            onResponderTerminationRequest={() => false}
            onResponderGrant={begin}
            onResponderMove={draw}
          >
            <View pointerEvents="none">
              <MarkedPhoto hash={hash} strokes={strokes} width={width} />
            </View>
          </View>
        ) : null}
      </View>
      <View className="flex-row gap-2">
        <Button className="flex-1" label={t.lastLineOff} disabled={strokes.length === 0} onPress={() => setStrokes(strokes.slice(0, -1))} />
        <Button className="flex-1" label={t.allOff} disabled={strokes.length === 0} onPress={() => setStrokes([])} />
      </View>
      <Button variant="primary" big label={t.keepTheMarks} testID="keep-marks" onPress={() => void keep()} />
      <Problem text={problem} />
    </>
  );
}
