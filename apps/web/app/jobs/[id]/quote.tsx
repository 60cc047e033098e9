import { lazyScreen } from '../../../src/lazy/lazyScreen.tsx';

export default lazyScreen(({ QuoteScreen }) => QuoteScreen);
