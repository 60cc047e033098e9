/**
 * Everything that the first screen can do without, in one piece: screens, sending, the sums and the families.
 * Reached by `lazy/rest.ts` alone; a module that is in a second such piece would be fetched before the first screen.
 */
export { OpenScreen } from './access/OpenScreen.tsx';
export { SheetScreen } from './access/SheetScreen.tsx';
export { TrayScreen } from './access/TrayScreen.tsx';
export { ModelScreen } from './book/ModelScreen.tsx';
export { ModelsScreen } from './book/ModelsScreen.tsx';
export { MachinesScreen } from './machine/MachinesScreen.tsx';
export { CatalogueScreen } from './catalogue/CatalogueScreen.tsx';
export { ImportPartsScreen } from './catalogue/ImportPartsScreen.tsx';
export { CloseScreen } from './close/CloseScreen.tsx';
export { FindScreen } from './find/FindScreen.tsx';
export { FamiliesScreen } from './families/FamiliesScreen.tsx';
export { FamilyScreen } from './families/FamilyScreen.tsx';
export { ImportScreen } from './families/ImportScreen.tsx';
export { CompareScreen } from './gear/CompareScreen.tsx';
export { GearScreen } from './gear/GearScreen.tsx';
export { TakeInScreen } from './intake/TakeInScreen.tsx';
export { LogScreen } from './log/LogScreen.tsx';
export { MachineScreen } from './machine/MachineScreen.tsx';
export { PartsScreen } from './match/PartsScreen.tsx';
export { ReceiveScreen } from './match/ReceiveScreen.tsx';
export { MarkPhotoScreen } from './photo/MarkPhotoScreen.tsx';
export { FirstVisitScreen } from './entrance/FirstVisitScreen.tsx';
export { SignInForm } from './entrance/SignInForm.tsx';
export { SignInScreen } from './entrance/SignInScreen.tsx';
export { ChangesScreen } from './people/ChangesScreen.tsx';
export { DevicesScreen } from './people/DevicesScreen.tsx';
export { PeopleScreen } from './people/PeopleScreen.tsx';
export { ProveForm } from './people/ProveForm.tsx';
export { ShopScreen } from './people/ShopScreen.tsx';
export { DisclosureScreen } from './ratio/DisclosureScreen.tsx';
export { JobRatioScreen, RatioScreen } from './ratio/RatioScreen.tsx';
export { ScanScreen } from './scan/ScanScreen.tsx';
export { SettingsScreen } from './settings/SettingsScreen.tsx';
export { AddDonorScreen } from './shelf/AddDonorScreen.tsx';
export { ShelfScreen } from './shelf/ShelfScreen.tsx';
export { ShelveScreen } from './shelf/ShelveScreen.tsx';
export { LookScreen } from './trace/LookScreen.tsx';
export { TraceScreen } from './trace/TraceScreen.tsx';
export { VerdictScreen } from './trace/VerdictScreen.tsx';
export { sendWaiting } from './data/send.ts';
