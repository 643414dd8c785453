import { Text } from 'react-native-paper';
import Svg, { Path } from 'react-native-svg';
import { configureStore } from '@reduxjs/toolkit';
import { z } from 'zod';
import AsyncStorage from '@react-native-async-storage/async-storage';
export default function I() { console.log(configureStore, z.object({}), AsyncStorage); return <Text><Svg><Path d="M0 0"/></Svg>x</Text>; }
