import { wordKey } from "@tonodrome/core";
import { useId, useState } from "react";
import { Text, View } from "react-native";
import { Button } from "~/ui/Button";
import { Field } from "./Field";

interface WordsFieldProps {
  label: string;
  words: readonly string[];
  onChange: (words: string[]) => void;
  /** Words to choose from while typing. */
  known?: readonly string[];
  hint?: string;
  error?: string | undefined;
  most?: number;
  longest?: number;
}

/** Several words or short lines, each added with Enter or its button and taken out with a press. */
export function WordsField({
  label,
  words,
  onChange,
  known = [],
  hint,
  error,
  most = 24,
  longest = 40,
}: WordsFieldProps) {
  const listId = useId();
  const [text, setText] = useState("");
  const [fault, setFault] = useState<string | undefined>();
  const add = () => {
    const word = text.trim();
    if (word === "") return;
    if (words.some((w) => wordKey(w) === wordKey(word))) {
      setFault("That is there already.");
    } else if (words.length >= most) {
      setFault(`At most ${most}: take one out first.`);
    } else {
      onChange([...words, word]);
      setText("");
      setFault(undefined);
    }
  };
  const open = known.filter((word) => !words.includes(word));
  return (
    <View className="gap-2">
      <View className="flex-row items-start gap-2">
        <View className="flex-1">
          <Field
            label={label}
            hint={hint ?? null}
            error={fault ?? error}
            value={text}
            maxLength={longest}
            autoComplete="off"
            list={listId}
            onChange={(e) => setText(e.currentTarget.value)}
            onKeyDown={(e) => {
              if (e.key !== "Enter") return;
              e.preventDefault();
              add();
            }}
            onBlur={add}
          />
        </View>
        {/* Beside the field itself, below its label. */}
        <View className="mt-7">
          <Button label={`${label}: add`} icon="add" iconOnly onPress={add} />
        </View>
      </View>
      <datalist id={listId}>
        {open.map((word) => (
          <option key={word} value={word} />
        ))}
      </datalist>
      {words.length > 0 ? (
        <View role="list" aria-label={label} className="flex-row flex-wrap gap-2">
          {words.map((word) => (
            <View key={word} role="listitem" className="flex-row items-center border-2 border-muted pl-3">
              <Text className="font-text text-body text-ink">{word}</Text>
              <Button
                label={`Remove ${word}`}
                icon="close"
                iconOnly
                look="plain"
                onPress={() => onChange(words.filter((w) => w !== word))}
              />
            </View>
          ))}
        </View>
      ) : null}
    </View>
  );
}
