/*
 * What is known and not ours to mend is not said again with every test: the renderer that the testing library draws with
 * says that it is deprecated each time it draws.
 */
const { error } = console;
console.error = (...words: unknown[]) => {
  if (!String(words[0]).startsWith("react-test-renderer is deprecated")) error(...words);
};
