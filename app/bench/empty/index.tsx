import { Text } from "react-native";

/** One line of text: what the platform alone costs. */
export default function Empty() {
  return <Text>One line of text.</Text>;
}
