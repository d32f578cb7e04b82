import { Text, View } from "react-native";
export default function Index() {
  return <View className="bg-tone-3 p-4"><Text className="font-strong text-title text-ink">Hello</Text></View>;
}
