import { kitStateOf, type PlanItem, withKitState, withoutBrokenPairs } from "@tonodrome/core";
import { View } from "react-native";
import { Amount, Seconds } from "~/features/fields/fields";
import { Choice } from "~/ui/fields/Choice";
import { Select } from "~/ui/fields/Select";
import { Fold } from "~/ui/layout/Fold";
import { words } from "~/ui/words";

interface DrillRulesProps {
  item: PlanItem;
  others: readonly PlanItem[];
  onChange: (change: Partial<PlanItem>) => void;
}

const NONE = "";

/** What a drill asks of the time around it: rest, its place in the order, and whether it may stand in the wait. */
export function DrillRules({ item, others, onChange }: DrillRulesProps) {
  const rest = item.restAfter;
  // Only what it can come after: not what stands later, and not what follows it in turn.
  const mayFollow = (after: string) => {
    const tried = others.map((o) => (o.id === item.id ? { ...o, after } : o));
    return withoutBrokenPairs(tried) === tried;
  };
  const open = Boolean(
    item.phase === "kit" || rest || item.free || item.after || item.calm || item.wholePlace,
  );
  return (
    <Fold title="Rest, order and room" open={open}>
      {item.phase === "kit" ? (
        <Choice
          named
          label="This kit"
          options={[
            { value: "needed", label: "What follows needs it" },
            { value: "on", label: "Already on" },
            { value: "loose", label: "Nothing depends on it" },
          ]}
          value={kitStateOf(item)}
          onChange={(kit) => onChange(withKitState(item, kit))}
        />
      ) : null}
      <Choice
        named
        label={words.restAfterIt}
        options={[
          { value: "none", label: "None owed" },
          { value: "seconds", label: words.aFixedRest },
          { value: "times", label: words.multipleOfEffort },
        ]}
        value={rest?.kind ?? "none"}
        onChange={(kind) =>
          onChange({
            restAfter:
              kind === "none"
                ? undefined
                : kind === "seconds"
                  ? { kind, seconds: 180 }
                  : { kind: "times", times: 5 },
          })
        }
      />
      {rest?.kind === "seconds" ? (
        <Seconds
          label={words.rest}
          value={rest.seconds}
          least={15}
          most={7200}
          step={15}
          onChange={(seconds) => onChange({ restAfter: { kind: "seconds", seconds } })}
        />
      ) : null}
      {rest?.kind === "times" ? (
        <Amount
          label={words.restAsMultiple}
          value={rest.times}
          least={1}
          most={20}
          show={(n) => `${n} ×`}
          onChange={(times) => onChange({ restAfter: { kind: "times", times } })}
        />
      ) : null}
      <Choice
        named
        label="Place in the order"
        options={[
          { value: "fixed", label: "As written" },
          { value: "free", label: "Anywhere in its part" },
        ]}
        value={item.free ? "free" : "fixed"}
        onChange={(order) => onChange({ free: order === "free" ? true : undefined })}
      />
      <Select
        label="Only after"
        value={item.after ?? NONE}
        options={[
          { value: NONE, label: "No drill in particular" },
          ...others.filter((o) => mayFollow(o.id)).map((o) => ({ value: o.id, label: o.name })),
        ]}
        onChange={(after) => onChange({ after: after === NONE ? undefined : after })}
      />
      <Choice
        named
        label="In the wait"
        options={[
          { value: "work", label: "It is work" },
          { value: "keep-warm", label: "Keeps warm" },
          { value: "quiet", label: "Quiet" },
        ]}
        value={item.calm ?? "work"}
        onChange={(calm) => onChange({ calm: calm === "work" ? undefined : calm })}
      />
      <View>
        <Choice
          named
          label="Room it needs"
          options={[
            { value: "half", label: "Half is enough" },
            { value: "whole", label: "All of the place" },
          ]}
          value={item.wholePlace ? "whole" : "half"}
          onChange={(room) => onChange({ wholePlace: room === "whole" ? true : undefined })}
        />
      </View>
    </Fold>
  );
}
