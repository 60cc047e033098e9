import { catalogue, type Value } from '../catalogue.ts';

export const t = catalogue({
  allOff: 'All off',
  drawWithAFingerA: 'Draw with a finger: a ring round what matters, an arrow to where it goes.',
  fromTheBenchCamera: 'From the bench camera',
  keepTheMarks: 'Keep the marks',
  lastLineOff: 'Last line off',
  markIt: 'Mark it',
  markThePhoto: 'Mark the photo',
  markThisPhoto: 'Mark this photo',
  marked: 'Marked',
  onlyPngAndJpegPhotos: 'Only PNG and JPEG photos can be kept.',
  photo: 'Photo',
  photoNotSentYet: 'Photo, not sent yet',
  photoOfThisLook: 'Photo of this look',
  photoWithMarks: 'Photo with marks',
  takeAPhoto: 'Take a photo',
  thePhotoIsOnIts: 'The photo is on its way …',
  thisPhotoHasMb10: (figure: Value) => `This photo has ${figure} MB; 10 MB is the most. Take it again at a smaller size.`,
});
