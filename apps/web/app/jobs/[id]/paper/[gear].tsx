import { lazyScreen } from '../../../../src/lazy/lazyScreen.tsx';

export default lazyScreen(({ PaperScreen }) => PaperScreen);
