export { OpenScreen as default } from '../../../src/access/OpenScreen.tsx';
