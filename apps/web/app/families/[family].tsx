export { FamilyScreen as default } from '../../src/families/FamilyScreen.tsx';
