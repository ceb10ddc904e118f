/** Whether a table of letters has one of its own by this name. */
export const has = <T extends object>(table: T, key: string): key is Extract<keyof T, string> =>
  Object.hasOwn(table, key);
