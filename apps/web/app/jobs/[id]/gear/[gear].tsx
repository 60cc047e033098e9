export { GearScreen as default } from '../../../../src/gear/GearScreen.tsx';
