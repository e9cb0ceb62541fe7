declare const brand: unique symbol

/** A primitive that only its own parser can make; it stays a plain string or number at run time. */
export type Brand<T, Name extends string> = T & { readonly [brand]: Name }
