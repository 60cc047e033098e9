export { RatioScreen as default } from '../src/ratio/RatioScreen.tsx';
