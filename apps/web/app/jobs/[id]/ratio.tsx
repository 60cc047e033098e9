export { JobRatioScreen as default } from '../../../src/ratio/RatioScreen.tsx';
