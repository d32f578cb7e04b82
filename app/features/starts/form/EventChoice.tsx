import { useEvents } from "~/data/resources/events";
import { Select } from "~/ui/fields/Select";

interface EventChoiceProps {
  eventId: string | null;
  onChange: (eventId: string | null) => void;
}

/** Which of the club's events it is; nothing where the club has none. */
export function EventChoice({ eventId, onChange }: EventChoiceProps) {
  const events = useEvents().data ?? [];
  const offered = events.filter((e) => !e.archived || e.id === eventId);
  if (offered.length === 0) return null;
  return (
    <Select
      label="Event type"
      options={[
        { value: "", label: "None of the club's events" },
        ...offered.map((e) => ({ value: e.id, label: e.name })),
      ]}
      value={eventId ?? ""}
      onChange={(id) => onChange(id === "" ? null : id)}
    />
  );
}
