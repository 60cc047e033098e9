export { SettingsScreen as default } from '../src/settings/SettingsScreen.tsx';
