import { render } from "@testing-library/react-native";
import { Text } from "react-native";
import { Unbroken } from "~/ui/Unbroken";

it.each([
  ["Everything fits, 7:16 min to spare", ["7:16 min"]],
  ["from 25 to 40 %, 3 sets of 5 reps", ["40 %", "3 sets", "5 reps"]],
  ["14:22, 12 °C, indoors", ["12 °C"]],
  ["version 7 of this", []],
  ["2 minutes before", []],
])("%s", (text, kept) => {
  const { UNSAFE_root } = render(
    <Text>
      <Unbroken text={text} />
    </Text>,
  );
  const inner = UNSAFE_root.findAll((node) => node.props.className === "whitespace-nowrap");
  expect(inner.map((node) => node.props.children)).toEqual(kept);
});
