import { type GroupMark, type GroupStand, groupWords, isOwnStep, type RunState } from "@tonodrome/core";
import { useState } from "react";
import { Text, View } from "react-native";
import type { Presses } from "~/features/run/presses/usePresses";
import { Button } from "~/ui/Button";
import { Choice } from "~/ui/fields/Choice";
import { Sheet } from "~/ui/layout/Sheet";
import { MemberPress } from "./MemberPress";

interface GroupSheetProps {
  group: GroupStand;
  state: RunState;
  /** Null for somebody who only follows. */
  presses: Presses | null;
  onClose: () => void;
}

type Side = "there" | "step";

/** What a press on a name makes of it: done, then sat out, then nothing again. */
const NEXT: Record<GroupMark | "none", GroupMark | null> = { none: "done", done: "out", out: null };

/** The group's names, all in sight: who is there, and what each made of the drill under way. */
export function GroupSheet({ group, state, presses, onClose }: GroupSheetProps) {
  const step = state.status === "under-way" ? state.splits[state.index]?.drill : undefined;
  const isMarked = step !== undefined && step.wait === undefined;
  const [wanted, setWanted] = useState<Side>(step && isOwnStep(step) ? "step" : "there");
  const side: Side = isMarked ? wanted : "there";
  const { members } = group;
  const away = members.filter((m) => !m.isThere);
  const allHere = () => {
    for (const { id } of away) presses?.there(id, true);
  };
  return (
    <Sheet
      title={step ? step.name : "The group"}
      onClose={onClose}
      foot={
        presses && side === "step" ? (
          <Button
            label="Done for all, next drill"
            look="full"
            onPress={() => {
              presses.done();
              onClose();
            }}
          />
        ) : presses && away.length > 0 ? (
          <Button label="Everybody is here" onPress={allHere} />
        ) : null
      }
    >
      {isMarked ? (
        <Choice
          label="Mark"
          options={[
            { value: "there", label: "Who is there" },
            { value: "step", label: "This drill" },
          ]}
          value={side}
          onChange={setWanted}
        />
      ) : null}
      <Text role="status" className="font-text text-body text-ink">
        {side === "there"
          ? `${group.there} of ${members.length} there. Press who is missing.`
          : `${groupWords(group, step)}. A press: done; another: sits it out.`}
      </Text>
      <View
        role="group"
        aria-label={side === "there" ? "Who is there" : "This drill"}
        className="flex-row flex-wrap"
      >
        {members
          .filter((m) => side === "there" || m.isThere)
          .map((member) => (
            <MemberPress
              key={member.id}
              name={member.name}
              word={side === "there" ? (member.isThere ? "there" : "missing") : MARKS[member.mark ?? "none"]}
              on={side === "there" ? member.isThere : member.mark === "done"}
              off={side === "there" ? !member.isThere : member.mark === "out"}
              onPress={
                presses &&
                (() =>
                  side === "there"
                    ? presses.there(member.id, !member.isThere)
                    : presses.mark(member.id, NEXT[member.mark ?? "none"]))
              }
            />
          ))}
      </View>
    </Sheet>
  );
}

const MARKS: Record<GroupMark | "none", string> = { none: "open", done: "done", out: "sits out" };
