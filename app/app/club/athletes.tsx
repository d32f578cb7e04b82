export { AthletesScreen as default } from "~/features/athletes/AthletesScreen";
