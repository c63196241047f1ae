/** What was typed: a value, or the rule that the text breaks. */
export type TypedReading = { readonly value: number } | { readonly rule: string };
