import type { CatalogueAction } from '../../shared/api'

/** An entry of the catalogue, for tests. */
export const entry = (more: Partial<CatalogueAction>): CatalogueAction => ({
  id: 'x',
  name: 'X',
  app: null,
  words: '',
  action: { kind: 'help' },
  group: 'g',
  group_name: 'G',
  asks: [],
  hosts: ['computer'],
  locked: [],
  needs: null,
  only: null,
  repeats: false,
  step: true,
  after: null,
  undo: null,
  harm: { cost: 'nothing', words: '' },
  ...more,
})
