import { type ReactNode, useState } from "react";
import { View } from "react-native";
import { Button } from "~/ui/Button";

interface FoldProps {
  title: string;
  /** Open to begin with. */
  open?: boolean;
  children: ReactNode;
}

/** A part that is only shown when it is asked for. */
export function Fold({ title, open: first = false, children }: FoldProps) {
  const [open, setOpen] = useState(first);
  return (
    <View className="gap-3">
      <Button label={title} icon={open ? "fold" : "unfold"} expanded={open} onPress={() => setOpen(!open)} />
      {open ? children : null}
    </View>
  );
}
