import { catalogue } from '../catalogue.ts';

export const t = catalogue({
  left: 'Left',
  notSentYet: 'not sent yet',
  putItBack: 'Put it back',
  remark: 'Remark',
  right: 'Right',
  setAside: 'set aside',
  takeItBack: 'Take it back',
  takeTheLastOneBack: 'Take the last one back',
  takenBack: 'Taken back',
  thisMachinesOwnRecord: 'This machine’s own record',
});
