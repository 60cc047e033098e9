export { TraceScreen as default } from '../../../src/trace/TraceScreen.tsx';
