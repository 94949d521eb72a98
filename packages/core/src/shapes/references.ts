import * as z from 'zod'

/** What other records can name by an id. */
export type Named = 'formula' | 'version' | 'batch' | 'trial' | 'lot' | 'container'
/** Ids under which records stand now, by kind and by the id that they had. */
export type Moved = Partial<Record<Named, ReadonlyMap<string, string>>>

const REFERENCES = z.registry<{ to: Named }>()

/** Marks a field of a shape as the id of another record. */
export const idOf = <T extends z.ZodType>(to: Named, shape: T): T => {
  REFERENCES.add(shape, { to })
  return shape
}

const isObject = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value)

/** The value with every id in it that moved put right, wherever its shape says that a field is one. */
export const withIds = <T>(shape: z.ZodType, value: T, moved: Moved): T => walk(shape, value, moved) as T

function walk(shape: z.core.$ZodType, value: unknown, moved: Moved): unknown {
  const to = REFERENCES.get(shape as z.ZodType)?.to
  if (to !== undefined && typeof value === 'string') return moved[to]?.get(value) ?? value
  const { def } = (shape as z.core.$ZodTypes)._zod
  switch (def.type) {
    case 'object':
      return isObject(value) ? { ...value, ...each(def.shape, value, moved) } : value
    case 'array':
      return Array.isArray(value) ? value.map((item) => walk(def.element, item, moved)) : value
    case 'optional':
    case 'nullable':
    case 'default':
      return walk(def.innerType, value, moved)
    case 'intersection':
      return walk(def.right, walk(def.left, value, moved), moved)
    case 'union': {
      const of = def.options.find((option) => couldBe(option, value))
      return of ? walk(of, value, moved) : value
    }
    default:
      return value
  }
}
/** Whether a value is of this shape, by what its literal fields say. */
function couldBe(shape: z.core.$ZodType, value: unknown): boolean {
  const { def } = (shape as z.core.$ZodTypes)._zod
  if (def.type === 'literal') return def.values.some((v) => v === value)
  if (def.type !== 'object') return z.safeParse(shape, value).success
  return (
    isObject(value) &&
    Object.entries(def.shape).every(
      ([key, field]) => (field as z.core.$ZodTypes)._zod.def.type !== 'literal' || couldBe(field, value[key]),
    )
  )
}
const each = (
  fields: Readonly<Record<string, z.core.$ZodType>>,
  value: Record<string, unknown>,
  moved: Moved,
) =>
  Object.fromEntries(
    Object.entries(fields).flatMap(([key, field]) =>
      key in value ? [[key, walk(field, value[key], moved)]] : [],
    ),
  )
