export { CloseScreen as default } from '../../../src/close/CloseScreen.tsx';
