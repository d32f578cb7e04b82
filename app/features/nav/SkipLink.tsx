/** The first thing that Tab comes to: past the places, to what the page is about. */
export function SkipLink() {
  return (
    <button
      type="button"
      className="sr-only bg-press text-body text-on-press focus:not-sr-only focus:absolute focus:z-20 focus:p-3"
      onClick={() => {
        const main = document.querySelector<HTMLElement>("[role=main]");
        main?.setAttribute("tabindex", "-1");
        main?.focus();
      }}
    >
      Skip to the content
    </button>
  );
}
