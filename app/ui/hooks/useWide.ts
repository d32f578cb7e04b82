import { useWindowDimensions } from "react-native";
import { wide } from "~/ui/tokens";

/** Whether there is room for the detail beside the stair. */
export function useWide(): boolean {
  return useWindowDimensions().width >= wide;
}
