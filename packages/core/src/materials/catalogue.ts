import acidsBases from '../../data/materials/acids-bases.json' with { type: 'json' }
import actives from '../../data/materials/actives.json' with { type: 'json' }
import botanicals from '../../data/materials/botanicals.json' with { type: 'json' }
import cationics from '../../data/materials/cationics.json' with { type: 'json' }
import chelators from '../../data/materials/chelators-antioxidants.json' with { type: 'json' }
import colours from '../../data/materials/colour-powders-filters.json' with { type: 'json' }
import emollients from '../../data/materials/emollients.json' with { type: 'json' }
import emulsifiers from '../../data/materials/emulsifiers.json' with { type: 'json' }
import humectants from '../../data/materials/humectants.json' with { type: 'json' }
import oils from '../../data/materials/oils.json' with { type: 'json' }
import preservatives from '../../data/materials/preservatives.json' with { type: 'json' }
import solvents from '../../data/materials/solvents-surfactants.json' with { type: 'json' }
import thickeners from '../../data/materials/thickeners.json' with { type: 'json' }
import waters from '../../data/materials/waters.json' with { type: 'json' }
import waxes from '../../data/materials/waxes.json' with { type: 'json' }
import { blendKey, slug, splitInci } from '../text/names.ts'
import type { Material } from '../shapes/material.ts'

/** An entry as it is written: what follows from its INCI names, or is usual, may be left out. */
type Written = Omit<Material, 'id' | 'name' | 'charge' | 'source'> &
  Partial<Pick<Material, 'id' | 'name' | 'charge' | 'source'>>

/** The catalogue's data of `data/materials`, made whole; its shape is checked by a test, not at start. */
export const CATALOGUE_DATA: readonly Material[] = (
  [
    waters,
    humectants,
    oils,
    emollients,
    waxes,
    emulsifiers,
    cationics,
    thickeners,
    actives,
    acidsBases,
    chelators,
    preservatives,
    botanicals,
    colours,
    solvents,
  ].flat() as unknown as readonly Written[]
).map((m) => ({
  ...m,
  id: m.id ?? slug(m.inci.join(', ')),
  name: m.name ?? m.inci[0]!.toLowerCase(),
  charge: m.charge ?? 'none',
  source: m.source ?? 'common practice',
}))

const MOST_MISSED = 5000

/** Materials that can be looked up by id, INCI name (blends in any order) or common name, whatever the letter case. */
export class Catalogue {
  readonly materials: readonly Material[]
  private readonly byName = new Map<string, Material>()
  /** Names that were looked for in vain: parts of blends are asked for again and again. */
  private readonly missed = new Set<string>()

  constructor(materials: readonly Material[]) {
    this.materials = materials
    const add = (key: string, material: Material) => {
      if (key && !this.byName.has(key)) this.byName.set(key, material)
    }
    for (const material of materials) add(material.id, material)
    // what a maker calls their own is theirs, whatever else is called so
    for (const material of materials) if (material.own) add(slug(material.name), material)
    for (const material of materials) {
      add(blendKey(material.inci), material)
      add(slug(material.inci.join(', ')), material)
    }
    for (const material of materials) {
      add(slug(material.name), material)
      material.aliases?.forEach((alias) => add(slug(alias), material))
    }
    // "sorbitol 70 % solution" is also asked for as "sorbitol"
    for (const material of materials) add(slug(material.name.replace(/\s*(\(.*|,.*|\b\d.*)$/, '')), material)
  }

  /** The material of that name, or null. */
  find(name: string): Material | null {
    const known = this.byName.get(name)
    if (known || this.missed.has(name)) return known ?? null
    const found = this.byName.get(slug(name)) ?? this.byName.get(blendKey(splitInci(name))) ?? null
    if (!found) {
      if (this.missed.size >= MOST_MISSED) this.missed.clear()
      this.missed.add(name)
    }
    return found
  }

  /** This catalogue with materials of one's own, which come first where names agree. */
  with(own: readonly Material[]): Catalogue {
    return own.length === 0 ? this : new Catalogue([...own, ...this.materials])
  }
}

export const catalogue = new Catalogue(CATALOGUE_DATA)
