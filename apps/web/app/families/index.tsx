export { FamiliesScreen as default } from '../../src/families/FamiliesScreen.tsx';
