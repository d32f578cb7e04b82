export { NewStartScreen as default } from "~/features/starts/form/NewStartScreen";
