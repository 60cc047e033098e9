export { LookScreen as default } from '../../../../src/trace/LookScreen.tsx';
