export { VerdictScreen as default } from '../../../src/trace/VerdictScreen.tsx';
