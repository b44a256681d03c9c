/** Every change of a setup, as data that can be kept and sent again. */
import type {
  Angler,
  Boat,
  DemandNumbers,
  Judging,
  Place,
  Schemas,
  SeatPlace,
  Setup,
  Thing,
} from '@/api/client'
import type { Edit } from './outbox'
import { counted } from '@/kit/words'
import { call, type Change } from './calls'
import { withWholeRows } from './laidOver'
import { patchOf, type Fields } from './patch'

export type Verb = Schemas['PlacesChange']['verb']
type Power = Setup['power']
type Rows = 'conductors' | 'banks' | 'duties' | 'moments' | 'charge' | 'chargers'
/** What changes of the electrics: rows by their key, null for one that goes. */
export type PowerChange = Partial<Omit<Power, Rows>> & {
  [K in Rows]?: Record<string, Power[K][string] | null>
}
type Fixing = Setup['fixing']
type FixingRows = 'walls' | 'mounts' | 'fittings' | 'holes' | 'done'
/** What changes of how things are fixed: fields of rows by their key, null for one that goes. */
export type FixingChange = Partial<Omit<Fixing, FixingRows>> & {
  [K in FixingRows]?: Record<
    string,
    Fixing[K][string] extends object ? Partial<Fixing[K][string]> | null : string | null
  >
}
/** What changes of how it goes; a row that is null goes. */
export type GlideChange = Partial<Omit<Setup['glide'], 'up' | 'lines'>> & {
  up?: Record<string, boolean | null>
  lines?: Record<string, number | null>
}
export type HoldChange = Partial<Setup['hold']>
/** What changes of the safety plan; a leash that is null is as usual again. */
export type SafetyChange = Partial<Omit<Setup['safety'], 'leashes'>> & {
  leashes?: Record<string, Partial<Setup['safety']['leashes'][string]> | null>
}
/** What changes of how it travels; what is null is as usual again. Its parts change by field. */
export type HaulChange = Partial<
  Omit<Setup['haul'], 'off' | 'minutes' | 'roof' | 'bed' | 'trailer' | 'rule' | 'cart'>
> & {
  off?: Record<string, Setup['haul']['off'][string] | null>
  minutes?: Record<string, number | null>
  cart?: Partial<NonNullable<Setup['haul']['cart']>> | null
} & { [P in 'roof' | 'bed' | 'trailer' | 'rule']?: Partial<Setup['haul'][P]> }
/** What changes of budget and phases; a thing that is null comes now again, and stays. */
export type MoneyChange = Partial<Omit<Setup['money'], 'phases' | 'until'>> & {
  phases?: Record<string, Setup['money']['phases'][string] | null>
  until?: Record<string, Setup['money']['until'][string] | null>
}
type Outing = Setup['outing']
/** What changes of the day's plan: fields of stores by name, null for one that goes. */
export type DayChange = Partial<Omit<Outing, 'stores' | 'away'>> & {
  stores?: Record<string, Partial<Outing['stores'][string]> | null>
  away?: Record<string, Outing['away'][string] | null>
}
/** What changes of the arrangement for the surf; a thing that is null lies as for fishing again. */
export type SurfChange = Partial<Omit<Setup['surf'], 'places'>> & {
  places?: Record<string, Place | null>
}
export type Trip = Omit<Schemas['SetupChange'], 'revision' | 'name'>
export type Way = Schemas['LineUp']['way']
/** Something of the newest state, to tell what was changed of it. */
interface Newest {
  place: (id: number) => Place | null
  setup: () => Setup
}

export function changesOf(change: Change, nameOf: (id: number) => string, newest: Newest) {
  /** Fields that were changed, of what somebody had before them; nothing is sent for none. */
  function edit(
    label: string,
    rows: readonly [
      what: Edit['what'],
      id: number | null,
      before: object | null,
      after: object | null,
    ][],
    called?: string,
  ): Promise<boolean> {
    const edits = rows.flatMap(([what, id, before, after]): Edit[] => {
      if (!after) return before ? [{ what, id, fields: null, was: null }] : []
      if (!before) return [{ what, id, fields: after as Edit['fields'], was: null }]
      const patch = patchOf(
        before,
        what === 'setup' ? withWholeRows(newest.setup(), after as Fields) : after,
      )
      return patch ? [{ what, id, ...(patch as Pick<Edit, 'fields' | 'was'>) }] : []
    })
    if (!edits.length) return Promise.resolve(true)
    return change(label, { edits, ...(called && { label: called }) })
  }

  /** `before` is the place that the new one was made from, where that is older than the newest. */
  const put = (id: number, place: Place, before = newest.place(id)) =>
    edit(`place for ${nameOf(id)}`, [['place', id, before, place]])

  const takeAshore = (id: number) =>
    edit(`taking ${nameOf(id)} ashore`, [['place', id, newest.place(id), null]])

  const step = (way: 'undo' | 'redo') =>
    change(way, call('post', `/api/v1/setups/{setup_id}/${way}`, { body: {} }))

  const goTo = (number: number) =>
    change(
      'going back',
      call('post', '/api/v1/setups/{setup_id}/history/{number}', { body: {}, ids: { number } }),
    )

  const putBoat = (boat: Boat, before: Boat) => edit('the boat', [['boat', null, before, boat]])

  const putAngler = (
    angler: Angler,
    seat: SeatPlace,
    before: { angler: Angler; seat: SeatPlace },
  ) =>
    edit('the angler', [
      ['angler', null, before.angler, angler],
      ['setup', null, { seat: before.seat }, { seat }],
    ])

  const putSetup = (trip: Partial<Trip & { name: string }>) =>
    edit('the setup', [['setup', null, newest.setup(), trip]])

  const putCrew = (angler_id: number) =>
    change('who goes', call('put', '/api/v1/setups/{setup_id}/crew', { body: { angler_id } }))

  const addCrew = (angler: Angler) =>
    change(angler.name, call('post', '/api/v1/setups/{setup_id}/crew', { body: { angler } }))

  const putDemands = (demands: DemandNumbers, before: DemandNumbers) =>
    edit('the situations', [['setup', null, { demands: before }, { demands }]])

  /** A new thing, or what was changed of one since `before`. */
  const putThing = (id: number | null, thing: Thing, before: Thing | null) =>
    id === null || !before
      ? change(thing.name, call('post', '/api/v1/setups/{setup_id}/things', { body: { thing } }))
      : edit(thing.name, [['thing', id, before, thing]])

  /** Several things at once, as one step of the history. */
  const editThings = (things: readonly [id: number, before: Thing, after: Thing][]) =>
    edit(
      things.length === 1 ? things[0]![2].name : `${things.length} items`,
      things.map(([id, before, after]) => ['thing', id, before, after]),
    )

  const addThings = (things: Thing[]) =>
    change(
      things.length === 1 ? things[0]!.name : `${things.length} items`,
      call('put', '/api/v1/setups/{setup_id}/things', {
        body: {
          things: things.map((thing) => ({ thing_id: null, thing })),
        },
      }),
    )

  const importGear = (text: string, take_good: boolean) =>
    change(
      'the table',
      call('post', '/api/v1/setups/{setup_id}/gear/import', { body: { text, take_good } }),
    )

  const dropThing = (id: number) =>
    change(
      `deleting ${nameOf(id)}`,
      call('delete', '/api/v1/setups/{setup_id}/things/{thing_id}', {
        query: {},
        ids: { thing_id: id },
      }),
    )

  /** Several things put, moved or taken ashore, as one step of the history. */
  const putPlaces = (verb: Verb, places: [number, Place | null][]) =>
    edit(
      `${verb.toLowerCase()}: ${counted(places.length)}`,
      places.map(([id, place]) => ['place', id, newest.place(id), place]),
      `${verb}: ${nameOf(places[0]![0])}${places.length > 1 ? ` and ${places.length - 1} more` : ''}`,
    )

  const lineUp = (way: Way, thing_ids: number[]) =>
    change(way, call('post', '/api/v1/setups/{setup_id}/line-up', { body: { way, thing_ids } }))

  const duplicate = (thing_ids: number[]) =>
    change(
      'a copy',
      call('post', '/api/v1/setups/{setup_id}/things/duplicates', { body: { thing_ids } }),
    )

  /** A suggestion taken: places, the seat and fields, as one step called by its words. */
  const takeMoves = (
    words: string,
    places: Schemas['TrialPlace'][],
    seat: SeatPlace | null,
    fields: Fields,
  ) =>
    change(
      words,
      call('put', '/api/v1/setups/{setup_id}/moves', { body: { words, places, seat, fields } }),
    )

  /** Rows of the electrics that were changed; one that is null is taken away. */
  const putPower = (power: PowerChange) =>
    edit('the wiring', [['setup', null, { power: newest.setup().power }, { power }]])

  /** Rows of how things are fixed; fields of a row that are not named stay as they are. */
  const putFixing = (fixing: FixingChange) =>
    edit('how it is fixed', [['setup', null, { fixing: newest.setup().fixing }, { fixing }]])

  /** How it goes, and against what. */
  const putGlide = (glide: GlideChange) =>
    edit('how it goes', [['setup', null, { glide: newest.setup().glide }, { glide }]])

  /** What holds it, and where. */
  const putHold = (hold: HoldChange) =>
    edit('how it is held', [['setup', null, { hold: newest.setup().hold }, { hold }]])

  /** Lines, what floats the hull, its drain, and how others see it. */
  const putSafety = (safety: SafetyChange) =>
    edit('the safety plan', [['setup', null, { safety: newest.setup().safety }, { safety }]])

  /** Where things go for the surf. */
  const putSurf = (surf: SurfChange) =>
    edit('the surf arrangement', [['setup', null, { surf: newest.setup().surf }, { surf }]])

  /** How it gets to the water. */
  const putHaul = (haul: HaulChange) =>
    edit('how it travels', [['setup', null, { haul: newest.setup().haul }, { haul }]])

  /** Budget, and when a thing comes. */
  const putMoney = (money: MoneyChange) =>
    edit('the money', [['setup', null, { money: newest.setup().money }, { money }]])

  /** How the day goes. */
  const putDay = (outing: DayChange) =>
    edit('the day', [['setup', null, { outing: newest.setup().outing }, { outing }]])

  const putJudging = (judging: Partial<Judging>) =>
    edit('the limits', [['setup', null, { judging: newest.setup().judging }, { judging }]])

  const accept = (key: string, reason: string) =>
    change(
      'accepting it',
      call('put', '/api/v1/setups/{setup_id}/accepted', { body: { key, reason } }),
    )

  const acceptNoLonger = (key: string) =>
    change(
      'accepting it no longer',
      call('delete', '/api/v1/setups/{setup_id}/accepted', { query: { key } }),
    )

  return {
    takeMoves,
    putPower,
    putFixing,
    putGlide,
    putHold,
    putSafety,
    putHaul,
    putSurf,
    putMoney,
    putDay,
    putJudging,
    accept,
    acceptNoLonger,
    put,
    takeAshore,
    step,
    goTo,
    putBoat,
    putAngler,
    putSetup,
    putCrew,
    addCrew,
    putDemands,
    putThing,
    editThings,
    addThings,
    importGear,
    dropThing,
    putPlaces,
    lineUp,
    duplicate,
  }
}
