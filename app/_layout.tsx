import { Slot } from 'expo-router';
import { PaperProvider, Text } from 'react-native-paper';
export default function L() { return <PaperProvider><Text>hi</Text><Slot /></PaperProvider>; }
