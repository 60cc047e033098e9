import { lazyScreen } from '../src/lazy/lazyScreen.tsx';

export default lazyScreen(({ FindScreen }) => FindScreen);
