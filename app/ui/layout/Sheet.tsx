import type { ReactNode } from "react";
import { Modal, ScrollView, Text, View } from "react-native";
import { Button } from "~/ui/Button";
import { useBackCloses } from "~/ui/hooks/useBackCloses";
import { words } from "~/ui/words";

export interface SheetProps {
  title: string;
  onClose: () => void;
  /** Takes back the last of what was done in it; null when there is nothing, left out where there is no such thing. */
  onUndo?: (() => void) | null | undefined;
  children: ReactNode;
  /** What stays in reach of the thumb while the rest scrolls. */
  foot?: ReactNode;
}

/** A sheet over the screen, one deep. Escape and the browser's back-out close it. */
export function Sheet({ title, onClose, onUndo, children, foot }: SheetProps) {
  useBackCloses(onClose);
  return (
    <Modal transparent visible onRequestClose={onClose} aria-label={title}>
      <View className="flex-1 items-center justify-end" style={{ backgroundColor: "rgba(20, 10, 18, 0.55)" }}>
        <View className="max-h-[92%] w-full max-w-[640px] bg-paper">
          <View className="flex-row items-center gap-2 border-b-2 border-line py-1 pl-4 pr-1">
            <Text
              role="heading"
              aria-level={2}
              className="flex-1 font-strong text-lead text-ink"
              numberOfLines={2}
            >
              {title}
            </Text>
            {onUndo !== undefined ? (
              <Button
                label={words.undo}
                icon="undo"
                iconOnly
                look="plain"
                disabled={onUndo === null}
                onPress={() => onUndo?.()}
              />
            ) : null}
            <Button label={words.close} icon="close" iconOnly look="plain" onPress={onClose} />
          </View>
          <ScrollView tabIndex={0} contentContainerClassName="gap-4 p-4">
            {children}
          </ScrollView>
          {foot ? <View className="border-t-2 border-line p-3">{foot}</View> : null}
        </View>
      </View>
    </Modal>
  );
}
