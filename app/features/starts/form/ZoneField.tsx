import { Field, type FieldProps } from "~/ui/fields/Field";

const ZONES = Intl.supportedValuesOf("timeZone");

/** The venue's time zone, with those there are to choose from. */
export function ZoneField(props: Omit<FieldProps, "label" | "list" | "more">) {
  return (
    <Field
      label="Time zone of the venue"
      list="zones"
      {...props}
      more={
        <datalist id="zones">
          {ZONES.map((name) => (
            <option key={name} value={name} />
          ))}
        </datalist>
      }
    />
  );
}
