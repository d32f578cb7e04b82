import { clubDeletionSchema } from "@tonodrome/core/api";
import { View } from "react-native";
import { useMembership } from "~/data/account/useAccount";
import { useDeleteClub } from "~/data/resources/club";
import { NameForm } from "~/ui/fields/NameForm";
import { Notice } from "~/ui/layout/Notice";
import { words } from "~/ui/words";

/** The end of a club, which asks for its name so that it is never a slip. */
export function DeleteClub() {
  const club = useMembership();
  const remove = useDeleteClub();
  return (
    <View className="gap-4">
      <Notice
        warn
        text="Every athlete, drill, start, warm-up and run of this club goes with it, for everybody. It cannot be undone: export it first if you may want it again."
      />
      <NameForm
        label={words.nameOfTheClub}
        hint={`Write ${club.name}`}
        schema={clubDeletionSchema.shape.name}
        action="Delete it for good"
        look="outline"
        send={(name) => remove.mutate(name)}
        pending={remove.isPending}
        failure={remove.error?.message ?? null}
      />
    </View>
  );
}
