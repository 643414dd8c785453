/** What the router uses of React Native, in the place of all of it (see metro.config.js). */
export {
  ActivityIndicator,
  Animated,
  I18nManager,
  Image,
  Platform,
  Pressable,
  ScrollView,
  StyleSheet,
  Text,
  TextInput,
  useColorScheme,
  View,
} from 'react-native';
