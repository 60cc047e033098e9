export { MachineScreen as default } from '../../src/machine/MachineScreen.tsx';
