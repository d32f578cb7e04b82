import ArrowDown from "lucide-react-native/icons/arrow-down";
import ArrowLeft from "lucide-react-native/icons/arrow-left";
import ArrowUp from "lucide-react-native/icons/arrow-up";
import Bell from "lucide-react-native/icons/bell";
import BellOff from "lucide-react-native/icons/bell-off";
import CalendarClock from "lucide-react-native/icons/calendar-clock";
import Check from "lucide-react-native/icons/check";
import ChevronDown from "lucide-react-native/icons/chevron-down";
import ChevronRight from "lucide-react-native/icons/chevron-right";
import ChevronUp from "lucide-react-native/icons/chevron-up";
import Copy from "lucide-react-native/icons/copy";
import GripVertical from "lucide-react-native/icons/grip-vertical";
import ListChecks from "lucide-react-native/icons/list-checks";
import ListFilter from "lucide-react-native/icons/list-filter";
import Minus from "lucide-react-native/icons/minus";
import Moon from "lucide-react-native/icons/moon";
import NotebookText from "lucide-react-native/icons/notebook-text";
import Play from "lucide-react-native/icons/play";
import Plus from "lucide-react-native/icons/plus";
import Redo from "lucide-react-native/icons/redo-2";
import Share from "lucide-react-native/icons/share-2";
import Settings from "lucide-react-native/icons/sliders-horizontal";
import Sun from "lucide-react-native/icons/sun";
import Timer from "lucide-react-native/icons/timer";
import Trash from "lucide-react-native/icons/trash";
import TriangleAlert from "lucide-react-native/icons/triangle-alert";
import Undo from "lucide-react-native/icons/undo-2";
import Users from "lucide-react-native/icons/users";
import X from "lucide-react-native/icons/x";

const icons = {
  add: Plus,
  alarm: Bell,
  "alarm-off": BellOff,
  back: ArrowLeft,
  close: X,
  club: Users,
  copy: Copy,
  dark: Moon,
  day: CalendarClock,
  done: Check,
  down: ArrowDown,
  filter: ListFilter,
  fold: ChevronUp,
  grip: GripVertical,
  less: Minus,
  light: Sun,
  log: NotebookText,
  remove: Trash,
  onward: ChevronRight,
  redo: Redo,
  run: Play,
  settings: Settings,
  share: Share,
  shelf: ListChecks,
  today: Timer,
  undo: Undo,
  unfold: ChevronDown,
  up: ArrowUp,
  warn: TriangleAlert,
};

/** The icons there are. */
export type IconName = keyof typeof icons;

/** A drawn sign that goes with a word, never instead of one for those who listen. Takes the colour of a token. */
export function Icon({ name, size = 24, color = "ink" }: { name: IconName; size?: number; color?: string }) {
  const Drawn = icons[name];
  return (
    <Drawn size={size} color={`var(--${color})`} strokeWidth={2.25} style={{ flexShrink: 0 }} aria-hidden />
  );
}
