import { View } from "react-native";
import { Button } from "~/ui/Button";

interface DrillMovesProps {
  first: boolean;
  last: boolean;
  onMove: (by: -1 | 1) => void;
  onRemove: () => void;
}

/** A drill's place in the order, without dragging, and the way out of the plan. */
export function DrillMoves({ first, last, onMove, onRemove }: DrillMovesProps) {
  return (
    <View className="flex-row gap-2">
      <Button label="Earlier" icon="up" className="flex-1" disabled={first} onPress={() => onMove(-1)} />
      <Button label="Later" icon="down" className="flex-1" disabled={last} onPress={() => onMove(1)} />
      <Button label="Remove" icon="remove" className="flex-1" onPress={onRemove} />
    </View>
  );
}
