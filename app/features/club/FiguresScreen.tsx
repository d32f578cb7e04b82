import { lazy, Suspense } from "react";
import { Text } from "react-native";
import { useClubFigures } from "~/data/resources/figures";
import { Loaded, Loading } from "~/ui/layout/Loading";
import { Screen } from "~/ui/layout/Screen";
import { words } from "~/ui/words";

// The checks themselves are loaded when somebody looks at their figures.
const FiguresList = lazy(() => import("./FiguresList"));

/** What the checks go by, and what the club has of its own. */
export function FiguresScreen() {
  const figures = useClubFigures();
  return (
    <Screen title={words.figures} back="/club">
      <Text className="font-text text-body text-ink">
        What the checks of a warm-up go by. Change what your school has otherwise; everything else stays as
        coaches mostly have it.
      </Text>
      <Loaded query={figures}>
        {(answer) => (
          <Suspense fallback={<Loading />}>
            <FiguresList answer={answer} />
          </Suspense>
        )}
      </Loaded>
    </Screen>
  );
}
