import { memo } from "react";
import { PlainButton } from "~/ui/PlainButton";

/** The same face is drawn twice: on paper, and in the ink's colour where the ink has risen over it. */
export type Ground = "paper" | "ink";

/** Words of the running screen on each ground; now and the start have the signal colour on paper. */
export const WORDS: Record<Ground, { text: string; now: string }> = {
  paper: { text: "text-ink", now: "text-signal" },
  ink: { text: "text-on-fill", now: "text-on-fill" },
};

const LOOKS = {
  paper: { full: "bg-press", fullText: "text-on-press", edge: "border-press", text: "text-ink" },
  ink: { full: "bg-on-fill", fullText: "text-fill", edge: "border-on-fill", text: "text-on-fill" },
};

export interface PressProps {
  label: string;
  ground: Ground;
  onPress: () => void;
  /** Filled with the ground's own ink. */
  full?: boolean;
  /** Higher than the least. */
  tall?: boolean;
  /** As high as there is room. */
  fills?: boolean;
  narrow?: boolean;
  /** Shown instead of the label. */
  sign?: string;
  disabled?: boolean;
}

/**
 * A press for cold hands: 64 px and more. The clock ticks all around it; it is drawn anew only when it changes. The browser's
 * own button: what a press does is on the screen sooner.
 */
export const Press = memo(function Press(props: PressProps) {
  const { label, ground, onPress, full, tall, fills, narrow, sign, disabled } = props;
  const look = LOOKS[ground];
  const height = fills ? "min-h-[88px]" : tall ? "h-[84px]" : "";
  return (
    <PlainButton
      aria-label={label}
      disabled={disabled}
      onClick={onPress}
      tabIndex={ground === "paper" ? 0 : -1}
      className={`flex min-h-run min-w-run cursor-pointer flex-col items-center justify-center border-2 border-solid px-1 ${narrow ? "" : fills ? "flex-1" : "shrink-0 grow basis-auto"} ${height} ${look.edge} ${full ? look.full : "bg-transparent"} ${disabled ? "opacity-40" : ""}`}
    >
      <span
        className={`max-w-full truncate text-center font-strong ${fills ? "text-huge" : tall ? "text-title" : "text-body"} ${full ? look.fullText : look.text}`}
      >
        {sign ?? label}
      </span>
    </PlainButton>
  );
});
