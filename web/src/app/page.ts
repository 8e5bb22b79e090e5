import { lazy, type ComponentType } from 'react'

/** A page, or a part of one, whose code comes when it is first opened. */
export const page = <Name extends string>(load: () => Promise<Record<Name, ComponentType>>, name: Name) =>
  lazy(async () => ({ default: (await load())[name] }))
