export { ReceiveScreen as default } from '../../../../src/match/ReceiveScreen.tsx';
