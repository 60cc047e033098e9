import { t } from '@patient-badger/wording/access';
import { captureAbout, type CaptureRecord, type JobState } from '@patient-badger/core/job';
import { useState } from 'react';
import { View } from 'react-native';
import { useRecord } from '../data/useRecord.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Field } from '../design/Field.tsx';
import { Problem } from '../design/Problem.tsx';
import { Text } from '../design/Text.tsx';
import { typedNumber } from '../design/typedNumber.ts';
import { PhotoButton } from '../photo/PhotoButton.tsx';
import { Thumb } from '../photo/Thumb.tsx';
import { WaitingPhoto } from '../photo/WaitingPhoto.tsx';
import { ReasonButton } from './ReasonButton.tsx';
import type { CaptureHere } from './useCaptures.ts';

/** As wide as a photo that has arrived is shown here. */
const WAITING_WIDTH = 128;

interface Props {
  readonly jobId: string;
  readonly state: JobState;
  readonly record: CaptureHere;
  readonly camera: boolean;
}

/** Asks for a position before the step loses it: a figure, a mark, a photo; or says why it is left out. */
export function CaptureCard({ jobId, state, record, camera }: Props) {
  const { step, capture, taken } = record;
  const { write, problem } = useRecord(jobId);
  const [typed, setTyped] = useState('');
  const figure = capture.kind === 'angle' || capture.kind === 'count' || capture.kind === 'measure';
  const value = typedNumber(typed);
  const wrong = figure && typed.trim() !== '' && !Number.isFinite(value);
  const keep = () => {
    const words = typed.trim();
    if (figure) void write({ kind: 'captured', step, capture: capture.id, value });
    else void write({ kind: 'captured', step, capture: capture.id, text: words === '' ? t.doneAsAsked : words });
  };
  return (
    <Card tone={taken ? 'plain' : 'next'}>
      <Text variant="label">{taken ? t.takenDown : t.takeThisDownFirst}</Text>
      <Text variant="strong">{capture.ask}</Text>
      {taken ? <Text>{saidText(record)}</Text> : null}
      {taken && record.photos.length + record.waiting.length > 0 ? (
        <View className="flex-row flex-wrap gap-2">
          {record.photos.map((hash) => (
            <Thumb key={hash} jobId={jobId} hash={hash} marked={state.photoMarks[hash] !== undefined} />
          ))}
          {record.waiting.map((blob, i) => (
            <WaitingPhoto key={i} blob={blob} width={WAITING_WIDTH} />
          ))}
        </View>
      ) : null}
      {taken ? null : (
        <>
          <PhotoButton jobId={jobId} about={captureAbout(step, capture.id)} state={state} camera={camera} />
          {capture.kind === 'photo' ? null : (
            <View className="gap-2">
              <Field
                label={figure ? t.figure(capture.unit ? `, ${capture.unit}` : '') : t.whatMarksItTapePen}
                inputMode={figure ? 'decimal' : 'text'}
                value={typed}
                onChangeText={setTyped}
                problem={wrong ? t.typeItAsANumber : undefined}
              />
              <Button
                label={figure ? t.keepTheFigure : t.itIsMarked}
                disabled={figure && (typed.trim() === '' || wrong)}
                testID={`keep-${capture.id}`}
                onPress={keep}
              />
            </View>
          )}
          {record.later ? null : (
            <Button
              variant="quiet"
              label={t.noHandFreeLater}
              testID={`later-${capture.id}`}
              onPress={() => void write({ kind: 'captured', step, capture: capture.id, skipped: t.noHandFree, later: true })}
            />
          )}
          <ReasonButton
            label={t.leaveItOut}
            ask={t.whyIsItLeftOut}
            testID={`leave-${capture.id}`}
            onReason={(reason) => void write({ kind: 'captured', step, capture: capture.id, skipped: reason })}
          />
        </>
      )}
      <Problem text={problem} />
    </Card>
  );
}

/** What was taken down, in words. */
export function saidText({ said, capture, photos, waiting = [] }: CaptureRecord & Partial<CaptureHere>): string {
  const unit = capture.unit === undefined || capture.unit === '°' ? (capture.unit ?? '') : ` ${capture.unit}`;
  const words = [
    said?.value === undefined ? null : `${said.value}${unit}`,
    said?.text ?? null,
    said?.skipped === undefined ? null : t.leftOut(said.skipped),
    photos.length > 0 ? t.photosOf(photos.length) : null,
    waiting.length > 0 ? t.aPhotoThatIsOn : null,
  ];
  return words.filter(Boolean).join('; ');
}
