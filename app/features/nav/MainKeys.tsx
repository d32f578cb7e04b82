import { may } from "@tonodrome/core/api";
import { useRouter } from "expo-router";
import { useState } from "react";
import { useMembership } from "~/data/account/useAccount";
import { useKeys } from "~/ui/hooks/useKeys";
import { KeysHelp } from "~/ui/layout/KeysHelp";
import { Sheet } from "~/ui/layout/Sheet";
import { words } from "~/ui/words";
import type { MainPlace } from "./mainPlaces";

/** The keys of every page that has none of its own, and what tells them. */
export function MainKeys({ path, places }: { path: string; places: readonly MainPlace[] }) {
  const { role } = useMembership();
  const router = useRouter();
  const [helps, setHelps] = useState(false);
  const mayBuild = may(role, "build");
  // A warm-up and a run have keys of their own.
  const isOwn = /^\/(run|start)\/(?!new)/.test(path);
  useKeys(
    isOwn
      ? {}
      : {
          ...Object.fromEntries(places.map(({ href }, i) => [String(i + 1), () => router.push(href)])),
          n: () => mayBuild && router.push("/start/new"),
          "/": () => document.querySelector<HTMLElement>("input[type=search]")?.focus(),
          "?": () => setHelps(true),
        },
  );
  if (!helps) return null;
  return (
    <Sheet title={words.keys} onClose={() => setHelps(false)}>
      <KeysHelp
        keys={[
          ...places.map(({ label }, i) => [String(i + 1), label] as const),
          ...(mayBuild ? [["n", "A new start"] as const] : []),
          ["/", "Find, where there is something to find"],
          ["Escape", "Closes what lies over the page"],
          ["?", "These keys"],
        ]}
      />
    </Sheet>
  );
}
