/** Every change of a setup, as a call that can be sent again on a newer revision. */
import {
  api,
  askState,
  type Angler,
  type Boat,
  type DemandNumbers,
  type Place,
  type Schemas,
  type SeatPlace,
  type SetupState,
  type Thing,
} from '@/api/client'

export type Call = (setup_id: number, revision: number) => Promise<SetupState>
type Change = (label: string, call: Call) => Promise<boolean>
export type Verb = Schemas['PlacesChange']['verb']
export type Trip = Omit<Schemas['SetupChange'], 'revision' | 'name'>
export type Way = Schemas['LineUp']['way']

export function changesOf(change: Change, nameOf: (id: number) => string) {
  const put = (id: number, place: Place) =>
    change(`place for ${nameOf(id)}`, (setup_id, revision) =>
      askState(
        api.PUT('/api/v1/setups/{setup_id}/places/{thing_id}', {
          params: { path: { setup_id, thing_id: id } },
          body: { revision, place },
        }),
      ),
    )

  const takeAshore = (id: number) =>
    change(`taking ${nameOf(id)} ashore`, (setup_id, revision) =>
      askState(
        api.DELETE('/api/v1/setups/{setup_id}/places/{thing_id}', {
          params: { path: { setup_id, thing_id: id }, query: { revision } },
        }),
      ),
    )

  const step = (way: 'undo' | 'redo') =>
    change(way, (setup_id, revision) =>
      askState(
        way === 'undo'
          ? api.POST('/api/v1/setups/{setup_id}/undo', {
              params: { path: { setup_id } },
              body: { revision },
            })
          : api.POST('/api/v1/setups/{setup_id}/redo', {
              params: { path: { setup_id } },
              body: { revision },
            }),
      ),
    )

  const goTo = (number: number) =>
    change('going back', (setup_id, revision) =>
      askState(
        api.POST('/api/v1/setups/{setup_id}/history/{number}', {
          params: { path: { setup_id, number } },
          body: { revision },
        }),
      ),
    )

  const putBoat = (boat: Boat) =>
    change('the boat', (setup_id, revision) =>
      askState(
        api.PUT('/api/v1/setups/{setup_id}/boat', {
          params: { path: { setup_id } },
          body: { revision, boat },
        }),
      ),
    )

  const putAngler = (angler: Angler, seat: SeatPlace) =>
    change('the angler', (setup_id, revision) =>
      askState(
        api.PUT('/api/v1/setups/{setup_id}/angler', {
          params: { path: { setup_id } },
          body: { revision, angler, seat },
        }),
      ),
    )

  const putSetup = (trip: Trip & { name: string }) =>
    change('the setup', (setup_id, revision) =>
      askState(
        api.PUT('/api/v1/setups/{setup_id}', {
          params: { path: { setup_id } },
          body: { revision, ...trip },
        }),
      ),
    )

  const putCrew = (angler_id: number) =>
    change('who goes', (setup_id, revision) =>
      askState(
        api.PUT('/api/v1/setups/{setup_id}/crew', {
          params: { path: { setup_id } },
          body: { revision, angler_id },
        }),
      ),
    )

  const addCrew = (angler: Angler) =>
    change(angler.name, (setup_id, revision) =>
      askState(
        api.POST('/api/v1/setups/{setup_id}/crew', {
          params: { path: { setup_id } },
          body: { revision, angler },
        }),
      ),
    )

  const putDemands = (demands: DemandNumbers) =>
    change('the demands', (setup_id, revision) =>
      askState(
        api.PUT('/api/v1/setups/{setup_id}/demands', {
          params: { path: { setup_id } },
          body: { revision, demands },
        }),
      ),
    )

  const putThing = (id: number | null, thing: Thing) =>
    change(thing.name, (setup_id, revision) =>
      askState(
        id === null
          ? api.POST('/api/v1/setups/{setup_id}/things', {
              params: { path: { setup_id } },
              body: { revision, thing },
            })
          : api.PUT('/api/v1/setups/{setup_id}/things/{thing_id}', {
              params: { path: { setup_id, thing_id: id } },
              body: { revision, thing },
            }),
      ),
    )

  /** Several things at once, as one step of the history. */
  const putThings = (things: { thing_id: number | null; thing: Thing }[]) =>
    change(
      things.length === 1 ? things[0]!.thing.name : `${things.length} things`,
      (setup_id, revision) =>
        askState(
          api.PUT('/api/v1/setups/{setup_id}/things', {
            params: { path: { setup_id } },
            body: { revision, things },
          }),
        ),
    )

  const importGear = (text: string, take_good: boolean) =>
    change('the table', (setup_id, revision) =>
      askState(
        api.POST('/api/v1/setups/{setup_id}/gear/import', {
          params: { path: { setup_id } },
          body: { revision, text, take_good },
        }),
      ),
    )

  const dropThing = (id: number) =>
    change(`striking off ${nameOf(id)}`, (setup_id, revision) =>
      askState(
        api.DELETE('/api/v1/setups/{setup_id}/things/{thing_id}', {
          params: { path: { setup_id, thing_id: id }, query: { revision } },
        }),
      ),
    )

  /** Several things put, moved or taken ashore, as one step of the history. */
  const putPlaces = (verb: Verb, places: [number, Place | null][]) =>
    change(`${verb.toLowerCase()}: ${places.length} things`, (setup_id, revision) =>
      askState(
        api.PUT('/api/v1/setups/{setup_id}/places', {
          params: { path: { setup_id } },
          body: {
            revision,
            verb,
            places: places.map(([thing_id, place]) => ({ thing_id, place })),
          },
        }),
      ),
    )

  const lineUp = (way: Way, thing_ids: number[]) =>
    change(way, (setup_id, revision) =>
      askState(
        api.POST('/api/v1/setups/{setup_id}/line-up', {
          params: { path: { setup_id } },
          body: { revision, way, thing_ids },
        }),
      ),
    )

  const duplicate = (thing_ids: number[]) =>
    change('a copy', (setup_id, revision) =>
      askState(
        api.POST('/api/v1/setups/{setup_id}/things/duplicates', {
          params: { path: { setup_id } },
          body: { revision, thing_ids },
        }),
      ),
    )

  /** A suggestion taken: places and the seat, as one step called by its words. */
  const takeMoves = (words: string, places: Schemas['TrialPlace'][], seat: SeatPlace | null) =>
    change(words, (setup_id, revision) =>
      askState(
        api.PUT('/api/v1/setups/{setup_id}/moves', {
          params: { path: { setup_id } },
          body: { revision, words, places, seat },
        }),
      ),
    )

  const putJudging = (judging: Schemas['Judging']) =>
    change('the limits', (setup_id, revision) =>
      askState(
        api.PUT('/api/v1/setups/{setup_id}/judging', {
          params: { path: { setup_id } },
          body: { revision, judging },
        }),
      ),
    )

  const accept = (key: string, reason: string) =>
    change('accepting it', (setup_id, revision) =>
      askState(
        api.PUT('/api/v1/setups/{setup_id}/accepted', {
          params: { path: { setup_id } },
          body: { revision, key, reason },
        }),
      ),
    )

  const acceptNoLonger = (key: string) =>
    change('accepting it no longer', (setup_id, revision) =>
      askState(
        api.DELETE('/api/v1/setups/{setup_id}/accepted', {
          params: { path: { setup_id }, query: { revision, key } },
        }),
      ),
    )

  return {
    takeMoves,
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
    putThings,
    importGear,
    dropThing,
    putPlaces,
    lineUp,
    duplicate,
  }
}
