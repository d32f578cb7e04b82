/** Makes an id that nothing else has (a UUID): the core has no chance of its own. */
export type MakeId = () => string;
