import { nameSchema, type PlanBody } from "@tonodrome/core";
import { View } from "react-native";
import { useCreateTemplate, useDeleteTemplate, useTemplates } from "~/data/resources/templates";
import { Button } from "~/ui/Button";
import { NameForm } from "~/ui/fields/NameForm";
import { Loaded } from "~/ui/layout/Loading";
import { Notice } from "~/ui/layout/Notice";
import { Row } from "~/ui/layout/Row";

interface KeepTemplateProps {
  body: PlanBody;
  /** A name to begin with. */
  name: string;
}

/** Keeps this warm-up for others to begin from, and lets go of those that are not wanted any more. */
export function KeepTemplate({ body, name }: KeepTemplateProps) {
  const create = useCreateTemplate();
  const remove = useDeleteTemplate();
  const templates = useTemplates();
  return (
    <View className="gap-4">
      {create.data ? <Notice text={`Kept as ${create.data.name}.`} /> : null}
      <NameForm
        label="Name of the template"
        first={name}
        schema={nameSchema}
        action="Keep as a template"
        send={(given) => create.mutate({ name: given, body })}
        pending={create.isPending}
        failure={create.error?.message ?? null}
      />
      {remove.error ? <Notice warn text={remove.error.message} /> : null}
      <Loaded query={templates}>
        {(list) => (
          <View role="list" aria-label="Templates of the club">
            {list.map((t) => (
              <Row
                key={t.id}
                title={t.name}
                detail={`${t.body.items.length} drills`}
                action={
                  <Button
                    label={`Delete the template ${t.name}`}
                    icon="remove"
                    iconOnly
                    look="plain"
                    disabled={remove.isPending}
                    onPress={() => remove.mutate(t.id)}
                  />
                }
              />
            ))}
          </View>
        )}
      </Loaded>
    </View>
  );
}
