export { FiguresScreen as default } from "~/features/club/FiguresScreen";
