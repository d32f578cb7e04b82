// Starter shelves: apart, because only the server reads them.
export { detailsOf, type StarterShelf, starterShelfSchema } from "../starter/starterShelf";
