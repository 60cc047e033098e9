export { SheetScreen as default } from '../../../src/access/SheetScreen.tsx';
