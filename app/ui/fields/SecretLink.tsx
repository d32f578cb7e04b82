import { useState } from "react";
import { View } from "react-native";
import { Button } from "~/ui/Button";
import { Field } from "./Field";

/** A link that is told once, to be copied now. */
export function SecretLink({ label, path }: { label: string; path: string }) {
  const link = new URL(path, window.location.href).href;
  const [copied, setCopied] = useState<"no" | "yes" | "failed">("no");
  const copy = () =>
    navigator.clipboard.writeText(link).then(
      () => setCopied("yes"),
      () => setCopied("failed"),
    );
  return (
    <View className="gap-2">
      <Field
        label={label}
        readOnly
        value={link}
        onFocus={(e) => e.currentTarget.select()}
        hint={
          copied === "failed"
            ? "It could not be copied by itself: mark it and copy it."
            : "It is shown only now. Whoever holds it can use it."
        }
      />
      <Button
        label={copied === "yes" ? "Copied" : "Copy the link"}
        icon={copied === "yes" ? "done" : "copy"}
        look="full"
        onPress={() => void copy()}
      />
    </View>
  );
}
