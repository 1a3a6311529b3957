// @ts-check
import withNuxt from './.nuxt/eslint.config.mjs'

// eslint-flat-config-utils needs Object.groupBy, which Node 20 lacks
Object.groupBy ??= (items, key) => { const o = Object.create(null); let i = 0; for (const it of items) (o[key(it, i++)] ??= []).push(it); return o }

export default withNuxt()
