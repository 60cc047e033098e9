export { ShelveScreen as default } from '../../../../src/shelf/ShelveScreen.tsx';
