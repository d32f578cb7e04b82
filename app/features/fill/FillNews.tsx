import { useState } from "react";
import { Notice } from "~/ui/layout/Notice";

interface FillNewsProps {
  /** What was done, and then what could not be. */
  news: readonly string[];
  onGood: () => void;
}

/** What a fill had to say: that it was done, and, when asked, what the shelf could not give. */
export function FillNews({ news, onGood }: FillNewsProps) {
  const [whole, setWhole] = useState(false);
  const [done = "", ...gaps] = news;
  const more = gaps.length === 1 ? "1 thing to know" : `${gaps.length} things to know`;
  return (
    <Notice
      text={whole ? news.join(" ") : done}
      actions={[
        ...(gaps.length > 0 && !whole ? [{ label: more, onPress: () => setWhole(true) }] : []),
        { label: "Good", onPress: onGood },
      ]}
    />
  );
}
