export { CompareScreen as default } from '../../../../src/gear/CompareScreen.tsx';
