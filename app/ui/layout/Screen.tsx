import { useRouter } from "expo-router";
import { type ReactNode, useEffect } from "react";
import { ScrollView, Text, View } from "react-native";
import { Button } from "~/ui/Button";

/** Places that are always there to go back to. */
export type BackTo = "/" | "/log" | "/club";

export interface ScreenProps {
  title: string;
  /** A line above the title. */
  over?: string;
  /** Where back goes when there is nothing to go back to. Without it there is no way back to show. */
  back?: BackTo;
  action?: ReactNode;
  children: ReactNode;
}

/** An ordinary screen: a heading and a column that scrolls. */
export function Screen({ title, over, back, action, children }: ScreenProps) {
  useTitle(title);
  return (
    <ScrollView
      className="flex-1"
      role="main"
      contentContainerClassName="mx-auto w-full max-w-[760px] gap-4 p-4 pb-10"
    >
      <View className="flex-row flex-wrap items-start gap-2">
        {back ? <BackButton to={back} /> : null}
        <Heading title={title} over={over} />
        {action}
      </View>
      {children}
    </ScrollView>
  );
}

/** The screen's heading, with the line above it. */
export function Heading({
  title,
  over,
  small,
  line,
}: {
  title: string;
  over?: string | undefined;
  small?: boolean;
  /** One small line: a long name is cut at its end. */
  line?: boolean;
}) {
  return (
    <View className="min-h-press min-w-[9rem] flex-1 justify-center">
      {over ? (
        <Text className="font-text text-body text-muted" numberOfLines={1}>
          {over}
        </Text>
      ) : null}
      <Text
        role="heading"
        aria-level={1}
        className={`font-strong text-ink ${small || line ? "text-lead" : "text-title"}`}
        numberOfLines={line ? 1 : 2}
      >
        {title}
      </Text>
    </View>
  );
}

/** Back to where one came from, or to a place that always exists. */
export function BackButton({ to }: { to: BackTo }) {
  const router = useRouter();
  return (
    <Button
      label="Back"
      icon="back"
      iconOnly
      look="plain"
      onPress={() => (router.canGoBack() ? router.back() : router.replace(to))}
    />
  );
}

/** Names the browser's tab. */
export function useTitle(title: string): void {
  useEffect(() => {
    document.title = `${title} · Tonodrome`;
  }, [title]);
}
