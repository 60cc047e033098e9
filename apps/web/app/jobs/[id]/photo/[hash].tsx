export { MarkPhotoScreen as default } from '../../../../src/photo/MarkPhotoScreen.tsx';
