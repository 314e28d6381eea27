/** What a planner finds, or undefined where it says by a RangeError that there is nothing. */
export function ifAny<T>(find: () => T): T | undefined {
  try {
    return find();
  } catch (error) {
    if (error instanceof RangeError) return undefined;
    throw error;
  }
}
