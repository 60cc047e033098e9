export { CatalogueScreen as default } from '../../src/catalogue/CatalogueScreen.tsx';
