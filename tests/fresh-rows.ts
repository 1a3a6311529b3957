import { beforeAll } from 'vitest'
import { ownBed } from './bed'
import { putBackRows } from './demo-rows'

// Each file begins with the demo jobs alone, whatever ran on its server before: a new job takes over the van of the last
// one of its country.
beforeAll(() => putBackRows(ownBed().databaseUrl))
