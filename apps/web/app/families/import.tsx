export { ImportScreen as default } from '../../src/families/ImportScreen.tsx';
