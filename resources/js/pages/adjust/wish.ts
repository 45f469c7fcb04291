/** What a person wishes for a source, group by group: parts of the command "handle". */
export type Wish = Partial<Record<'framing' | 'colour' | 'key' | 'behind', unknown>>;

/** Two wishes, the later one over the earlier, part by part. */
export function merged(first: Wish, then: Wish): Wish {
  const all: Record<string, unknown> = { ...first };
  for (const [group, value] of Object.entries(then)) {
    const before = all[group];
    all[group] = isObject(before) && isObject(value) ? { ...before, ...value } : value;
  }
  return all;
}

function isObject(value: unknown): value is Record<string, unknown> {
  return typeof value === 'object' && value !== null;
}
