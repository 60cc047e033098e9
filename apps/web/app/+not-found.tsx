export { NotFoundScreen as default } from '../src/bench/NotFoundScreen.tsx';
