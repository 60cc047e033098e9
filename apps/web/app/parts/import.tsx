export { ImportPartsScreen as default } from '../../src/catalogue/ImportPartsScreen.tsx';
