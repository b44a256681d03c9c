/** A setup with what the server has not confirmed yet: changes of fields, in the order they were made. */
import type { Place, SetupState, Thing } from '@/api/client'
import { merged, type Fields } from './patch'
import type { Edit, Held } from './outbox'

export function laidOver(state: SetupState, held: readonly Held[]): SetupState {
  const edits = held.flatMap((one) =>
    one.setup_id === state.setup_id && 'edits' in one.call ? one.call.edits : [],
  )
  return edits.length ? { ...state, setup: edits.reduce(edited, state.setup) } : state
}

function edited(setup: SetupState['setup'], edit: Edit): SetupState['setup'] {
  const fields = edit.fields as Fields | null
  const id = String(edit.id)
  if (edit.what === 'place') {
    const places = { ...setup.places } as Record<string, Place>
    if (!fields) takeOff(places, id)
    else places[id] = places[id] ? merged(places[id], fields) : (fields as unknown as Place)
    return { ...setup, places }
  }
  if (!fields) return setup
  if (edit.what === 'thing') {
    const thing = (setup.things as Record<string, Thing>)[id]
    return thing ? { ...setup, things: { ...setup.things, [id]: merged(thing, fields) } } : setup
  }
  if (edit.what === 'setup') return merged(setup, fields)
  return { ...setup, [edit.what]: merged(setup[edit.what], fields) }
}

/** Ashore goes a thing with all that stands on it. */
function takeOff(places: Record<string, Place>, id: string): void {
  delete places[id]
  for (const [held, place] of Object.entries(places))
    if (place.on?.kind === 'thing' && String(place.on.thing) === id) takeOff(places, held)
}
