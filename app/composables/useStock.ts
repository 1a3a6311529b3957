import { useStorage } from '@vueuse/core'
import type { Part, Way } from '#core/joints'

const idOf = ({ name, size }: Pick<Part, 'name' | 'size'>) => `${name} ${size}`

/**
 * What the shelf does not have today, said on the order list; kept on this device. Ways that need it come after the
 * others.
 */
export function useStock() {
  const out = useStorage<string[]>('jolvet-out-of-stock', [])
  const isOut = (part: Pick<Part, 'name' | 'size'>) => out.value.includes(idOf(part))
  const flip = (part: Pick<Part, 'name' | 'size'>) => {
    out.value = isOut(part) ? out.value.filter((one) => one !== idOf(part)) : [...out.value, idOf(part)]
  }
  const lacks = ({ parts }: Pick<Way, 'parts'>) => parts.find(isOut)
  const inStockFirst = (ways: readonly Way[]): Way[] => [...ways.filter((way) => !lacks(way)), ...ways.filter(lacks)]
  return { isOut, flip, lacks, inStockFirst }
}
