import Fuse from 'fuse.js'
import type { Material } from '../shapes/material.ts'

export type Search = (words: string, limit?: number) => Material[]

/** Plain letters, so that `q10` finds `Q10` and `acid` finds `Acide`. */
const fold = (text: string) =>
  text
    .normalize('NFKD')
    .replace(/[\u0300-\u036f]/g, '')
    .toLowerCase()

interface Entry {
  material: Material
  names: string[]
  words: string[]
  does: string[]
}

/** 0 the name itself, 1 its start, 2 the start of each word asked for, 3 inside a name, 4 what it does; null no match. */
function rank(entry: Entry, query: string, parts: readonly string[]): number | null {
  if (entry.names.includes(query)) return 0
  if (entry.names.some((name) => name.startsWith(query))) return 1
  if (parts.every((part) => entry.words.some((word) => word.startsWith(part)))) return 2
  if (entry.names.some((name) => name.includes(query))) return 3
  if (entry.does.some((text) => text.includes(query))) return 4
  return null
}

/** Whether a maker calls a material of their own by exactly these words. */
const calledSo = ({ material, names }: Entry, query: string) => material.own === true && names[0] === query

/** With this many plain matches nothing was misspelt, so no likely spellings are looked for. */
const PLENTY = 6

/** So many of the closest by letter pairs are looked at for likely spellings. */
const CLOSEST = 60

/** 1 to 36 for a letter or digit, 0 for anything else. */
const codeOf = (char: number) =>
  char >= 97 && char <= 122 ? char - 96 : char >= 48 && char <= 57 ? char - 21 : 0
const PAIRS = 37 * 37

/** Calls back with a number for each pair of neighbouring letters in these words; the same pair may come again. */
function eachPair(words: readonly string[], use: (pair: number) => void) {
  for (const word of words) {
    let before = 0
    for (let i = 0; i < word.length; i++) {
      const code = codeOf(word.charCodeAt(i))
      if (before > 0 && code > 0) use(before * 37 + code)
      before = code
    }
  }
}

/** Picks by the letter pairs they share with the words asked for; thousands of names cost a few milliseconds. */
function byPairs(entries: readonly Entry[]) {
  const holders: number[][] = Array.from({ length: PAIRS }, () => [])
  const last = new Int32Array(PAIRS).fill(-1)
  entries.forEach((entry, i) => {
    const add = (pair: number) => {
      if (last[pair] === i) return
      last[pair] = i
      holders[pair]!.push(i)
    }
    eachPair(entry.words, add)
    eachPair(entry.does, add)
  })
  return (parts: readonly string[]): Material[] => {
    const shared = new Uint16Array(entries.length)
    const pairs = new Set<number>()
    eachPair(parts, (pair) => pairs.add(pair))
    for (const pair of pairs) for (const i of holders[pair]!) shared[i]!++
    const least = pairs.size / 3
    return entries
      .flatMap((_, i) => (shared[i]! >= least && shared[i]! > 0 ? [i] : []))
      .sort((a, b) => shared[b]! - shared[a]! || a - b)
      .slice(0, CLOSEST)
      .map((i) => entries[i]!.material)
  }
}

/**
 * A finder over materials by INCI name, common name, function and kind that forgives typing errors.
 * Exact starts come first, simple materials before blends; likely misspellings fill up what is left.
 */
export function makeSearch(materials: readonly Material[]): Search {
  const entries = materials.map((material): Entry => {
    const names = [material.name, material.inci.join(', '), ...(material.aliases ?? [])].map(fold)
    return {
      material,
      names,
      words: names.flatMap((name) => name.split(/[^a-z0-9]+/)),
      does: [...material.functions.map(fold), material.kind],
    }
  })
  let closest: ReturnType<typeof byPairs> | null = null
  return (words, limit = 40) => {
    const query = fold(words).trim().slice(0, 60)
    if (query === '') return materials.slice(0, limit)
    const parts = query.split(/[^a-z0-9]+/).filter(Boolean)
    const asked = parts.length > 0 ? parts : [query]
    const byRank: Entry[][] = [[], [], [], [], []]
    for (const entry of entries) {
      const r = rank(entry, query, asked)
      if (r !== null) byRank[r]!.push(entry)
    }
    const plain: Material[] = []
    for (const bucket of byRank) {
      // Simple materials before blends; the sort keeps the order of the catalogue.
      bucket.sort(
        (a, b) =>
          Number(calledSo(b, query)) - Number(calledSo(a, query)) ||
          a.material.inci.length - b.material.inci.length,
      )
      for (const entry of bucket) plain.push(entry.material)
      if (plain.length >= limit) break
    }
    if (plain.length >= PLENTY || query.length < 3) return plain.slice(0, limit)
    closest ??= byPairs(entries)
    const fuse = new Fuse(closest(parts), {
      keys: [
        { name: 'name', weight: 3 },
        { name: 'inci', weight: 3 },
        { name: 'aliases', weight: 3 },
        { name: 'functions', weight: 1 },
      ],
      threshold: 0.34,
      ignoreLocation: true,
      minMatchCharLength: 2,
    })
    const likely = fuse.search(query, { limit }).map(({ item }) => item)
    return [...new Set([...plain, ...likely])].slice(0, limit)
  }
}
