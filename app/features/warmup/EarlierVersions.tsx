import { useQuery } from "@tanstack/react-query";
import type { PlanBody } from "@tonodrome/core";
import { planEditListSchema } from "@tonodrome/core/api";
import { Text, View } from "react-native";
import { useClubAsk } from "~/data/queries";
import { Button } from "~/ui/Button";
import { Loaded } from "~/ui/Loading";
import { Notice } from "~/ui/Notice";

/** Every saved and every refused version of a plan, to open again. */
export function EarlierVersions({ planId, onOpen }: { planId: string; onOpen: (body: PlanBody) => void }) {
  const ask = useClubAsk();
  const edits = useQuery({
    queryKey: ["edits", planId],
    queryFn: async () => (await ask(planEditListSchema, "GET", `/plans/${planId}/edits`)).edits,
    staleTime: 0,
  });
  return (
    <Loaded query={edits}>
      {(list) =>
        list.length === 0 ? (
          <Notice text="Nothing has been saved over this plan yet." />
        ) : (
          <View role="list">
            {list.map((edit) => (
              <View
                key={`${edit.outcome}${edit.at}`}
                role="listitem"
                className="flex-row items-center gap-3 border-t border-line py-2"
              >
                <View className="flex-1">
                  <Text className="font-strong text-body text-ink">
                    {edit.outcome === "saved"
                      ? `Version ${edit.version}`
                      : `Not saved, made from version ${edit.version}`}
                  </Text>
                  <Text className="font-text text-small text-muted">
                    {new Date(edit.at).toLocaleString()}, {edit.body.items.length} drills
                  </Text>
                </View>
                <Button label="Open" onPress={() => onOpen(edit.body)} />
              </View>
            ))}
          </View>
        )
      }
    </Loaded>
  );
}
