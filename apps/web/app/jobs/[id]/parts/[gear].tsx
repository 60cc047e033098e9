export { PartsScreen as default } from '../../../../src/match/PartsScreen.tsx';
