/** What was typed: a value, with how it was read where it could mean two things; or the rule that the text breaks. */
export type TypedReading = { readonly value: number; readonly note?: string } | { readonly rule: string };
