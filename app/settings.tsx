import { SettingsScreen } from '../ui/screens/settings/settings-screen.tsx';

export default function Settings() {
  return <SettingsScreen />;
}
