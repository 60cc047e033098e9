export { DisclosureScreen as default } from '../../../src/ratio/DisclosureScreen.tsx';
