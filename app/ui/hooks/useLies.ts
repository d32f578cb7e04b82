import { useWindowDimensions } from "react-native";

/** Below this height a screen that is wider than high is a phone on its side, pixels. */
const LOW = 620;

/** Whether this is a phone lying on its side: what stands below something elsewhere stands beside it here. */
export function useLies(): boolean {
  const { width, height } = useWindowDimensions();
  return width > height && height < LOW;
}
