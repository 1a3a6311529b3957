import type { SupportCode } from '#core/catalogue'
import type { Support } from '#core/supports'

export const KIND_WORDS: Readonly<Record<Support['kind'], string>> = {
  clip: 'clip',
  guide: 'sliding clip',
  anchor: 'anchor',
}

export const CODE_WORDS: Readonly<Record<SupportCode, string>> = {
  ipc: 'IPC',
  irc: 'IRC',
  upc: 'UPC',
  gb: 'GB',
  en: 'EN',
}
