export { ScanScreen as default } from '../../../../../src/scan/ScanScreen.tsx';
