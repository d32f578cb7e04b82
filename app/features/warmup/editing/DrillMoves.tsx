import { View } from "react-native";
import { Button } from "~/ui/Button";
import { words } from "~/ui/words";

interface DrillMovesProps {
  first: boolean;
  last: boolean;
  onMove: (by: -1 | 1) => void;
  onCopy: () => void;
  /** Null where it has no parts. */
  onSplit: (() => void) | null;
  onRemove: () => void;
}

/** A drill's place in the order, without dragging, and the way out of the plan. */
export function DrillMoves({ first, last, onMove, onCopy, onSplit, onRemove }: DrillMovesProps) {
  return (
    <View className="flex-row flex-wrap gap-1">
      <Button
        label={words.earlier}
        icon={onSplit ? undefined : "up"}
        className="flex-1"
        disabled={first}
        onPress={() => onMove(-1)}
      />
      <Button
        label={words.later}
        icon={onSplit ? undefined : "down"}
        className="flex-1"
        disabled={last}
        onPress={() => onMove(1)}
      />
      {onSplit ? <Button label={words.split} onPress={onSplit} /> : null}
      <Button label={words.copy} icon="copy" iconOnly onPress={onCopy} />
      <Button label={words.remove} icon="remove" iconOnly onPress={onRemove} />
    </View>
  );
}
