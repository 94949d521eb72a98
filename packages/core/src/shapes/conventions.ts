import { z } from 'zod'
import data from '../../data/conventions.json' with { type: 'json' }

/**
 * Figures that several parts agree on: days of a mean month (365.25 / 12), and the standard error of a pH reading. A
 * strip is read to half a unit, and salt and protein shift it; a meter in the product is slowed by oil; in 10 % the
 * mixing adds a little. A drop from a pharmacy dropper, and what a real dropper gives; words by which INCI names what is
 * mostly water. Common practice.
 */
export const CONVENTIONS = z
  .strictObject({
    source: z.string(),
    daysPerMonth: z.number().positive(),
    readingSd: z.strictObject({
      strip: z.number().positive(),
      'meter-direct': z.number().positive(),
      'meter-10pct': z.number().positive(),
    }),
    drop: z.strictObject({
      millilitres: z.number().positive(),
      leastGrams: z.number().positive(),
      mostGrams: z.number().positive(),
    }),
    wateryInci: z.array(z.string()).min(1),
  })
  .parse(data)

export const DAYS_PER_MONTH = CONVENTIONS.daysPerMonth
