import type { paths } from './schema'

/** A write as plain data: it can wait on the device, outlive a restart, and go out later as it was meant. */
export interface Wish {
  method: 'POST' | 'PUT' | 'PATCH'
  path: string
  body: Record<string, unknown>
  /** What it is about, for the list of what waits: "Reading on B-14: posts at rest". */
  words: string
}

type Writing = 'post' | 'put' | 'patch'
type Operation<Path extends keyof paths, Verb extends Writing> = NonNullable<paths[Path][Verb]>
type BodyOf<T> = T extends { requestBody: { content: { 'application/json': infer Body } } }
  ? Body
  : Record<string, never>
type Content<T> = T extends { content: { 'application/json': infer Reply } } ? Reply : never
type ReplyOf<T> = T extends { responses: infer Responses }
  ? Responses extends { 200: infer Ok }
    ? Content<Ok>
    : Responses extends { 201: infer Created }
      ? Content<Created>
      : never
  : never

/** A wish with the type of the reply it gets. */
export type TypedWish<Reply> = Wish & { readonly reply?: Reply }

/** Builds a wish from the OpenAPI document's own types: address, body and reply belong together. */
export function wish<Path extends keyof paths, Verb extends Writing>(
  verb: Verb,
  template: Path,
  ids: Record<string, string | number>,
  body: BodyOf<Operation<Path, Verb>>,
  words: string,
): TypedWish<ReplyOf<Operation<Path, Verb>>> {
  const path = template.replace(/\{(\w+)\}/g, (_, name: string) => encodeURIComponent(String(ids[name])))
  return { method: verb.toUpperCase() as Wish['method'], path, body: body, words }
}
