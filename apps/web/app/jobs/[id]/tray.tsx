export { TrayScreen as default } from '../../../src/access/TrayScreen.tsx';
