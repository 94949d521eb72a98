/** Kinds of container that a product is filled into. */
export const CONTAINER_KINDS = [
  'jar',
  'pump',
  'airless',
  'tube',
  'dropper',
  'spray',
  'tin',
  'flip-top',
] as const
export type ContainerKind = (typeof CONTAINER_KINDS)[number]
