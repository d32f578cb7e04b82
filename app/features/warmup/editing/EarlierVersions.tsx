import { useInfiniteQuery } from "@tanstack/react-query";
import type { PlanBody } from "@tonodrome/core";
import type { PlanEdit } from "@tonodrome/core/api";
import { useState } from "react";
import { Text, View } from "react-native";
import { useClubAsk } from "~/data/queries/useClubAsk";
import { Button } from "~/ui/Button";
import { Choice } from "~/ui/fields/Choice";
import { Loaded } from "~/ui/layout/Loading";
import { Notice } from "~/ui/layout/Notice";

type Shown = "all" | "refused";

/** Every saved and every refused version of a plan, newest first, a page at a time, to open again. */
export function EarlierVersions({ planId, onOpen }: { planId: string; onOpen: (body: PlanBody) => void }) {
  const [shown, setShown] = useState<Shown>("all");
  const edits = useEdits(planId, shown);
  return (
    <View className="gap-3">
      <Choice
        label="Show"
        options={[
          { value: "all", label: "All versions" },
          { value: "refused", label: "Not saved" },
        ]}
        value={shown}
        onChange={setShown}
      />
      <Loaded query={edits}>
        {({ pages }) => {
          const list = pages.flatMap((page) => page.edits);
          if (list.length === 0) {
            return (
              <Notice
                text={
                  shown === "all"
                    ? "Nothing has been saved over this plan yet."
                    : "Every edit of this plan was saved."
                }
              />
            );
          }
          return (
            <View role="list">
              {list.map((edit) => (
                <Version key={edit.id} edit={edit} onOpen={() => onOpen(edit.body)} />
              ))}
            </View>
          );
        }}
      </Loaded>
      {edits.hasNextPage ? (
        <Button
          label="Earlier ones"
          disabled={edits.isFetchingNextPage}
          onPress={() => void edits.fetchNextPage()}
        />
      ) : null}
    </View>
  );
}

function useEdits(planId: string, shown: Shown) {
  const ask = useClubAsk();
  return useInfiniteQuery({
    queryKey: ["edits", planId, shown],
    queryFn: ({ pageParam }) => {
      const query = new URLSearchParams({
        ...(shown === "refused" ? { outcome: "refused" } : {}),
        ...(pageParam ? { before: pageParam } : {}),
      });
      return ask("planEditList", "GET", `/plans/${planId}/edits?${query}`);
    },
    initialPageParam: "",
    getNextPageParam: (page) => page.next,
    staleTime: 0,
  });
}

function Version({ edit, onOpen }: { edit: PlanEdit; onOpen: () => void }) {
  return (
    <View role="listitem" className="flex-row items-center gap-3 border-t border-line py-2">
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
      <Button label="Open" onPress={onOpen} />
    </View>
  );
}
