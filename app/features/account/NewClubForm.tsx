import { clubInputSchema } from "@tonodrome/core/api";
import { useNewClub } from "~/data/resources/door";
import { NameForm } from "~/ui/fields/NameForm";

/** The form of a new club: its name. */
export function NewClubForm({ onMade = () => undefined }: { onMade?: () => void }) {
  const make = useNewClub(onMade);
  return (
    <NameForm
      label="Name of the new club"
      schema={clubInputSchema.shape.name}
      send={(name) => make.mutate(name)}
      action="Make the club"
      pending={make.isPending}
      failure={make.error?.message ?? null}
    />
  );
}
