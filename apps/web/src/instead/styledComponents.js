import { cssInterop } from 'react-native-css-interop';
import { Image, Pressable, ScrollView, Text, TextInput, View } from 'react-native';

// The components of React Native that the app gives class names to.
for (const component of [Image, Pressable, Text, View, TextInput]) cssInterop(component, { className: 'style' });
cssInterop(ScrollView, { className: 'style', contentContainerClassName: 'contentContainerStyle' });
