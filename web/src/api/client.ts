/** The one fetch client. A refusal becomes a Refusal with the server's words; no answer, Offline. */
import createClient from 'openapi-fetch'
import type { Readable } from 'openapi-typescript-helpers'
import type { components, paths } from './schema'

export type Schemas = components['schemas']
export type SetupState = Schemas['SetupState']
export type Setup = SetupState['setup']
export type GlidePlan = Setup['glide']
export type HoldPlan = Setup['hold']
export type DayPlan = Setup['outing']
export type HaulPlan = Setup['haul']
export type SafetyPlan = Setup['safety']
export type Preview = Schemas['Preview']
export type QuickFigures = Schemas['QuickFigures']
export type Started = Schemas['Started']
export type Figures = Schemas['Figures']
export type Drawing = Schemas['Drawing']
export type Aboard = Schemas['Aboard']
export type Thing = Schemas['Thing']
export type Place = Schemas['Place']
export type Boat = Schemas['Boat']
export type Angler = Schemas['Angler']
export type SeatPlace = Schemas['SeatPlace']
export type Trial = Schemas['Trial']
export type Verdict = Schemas['Afloat']['gm_verdict']
export type Problem = Schemas['Problem']
export type How = Schemas['How']
export type FullAfloat = Schemas['FullAfloat']
export type Demand = Schemas['Demand']
export type DemandNumbers = Schemas['DemandNumbers']
export type Calibration = Schemas['Calibration']
export type CalibrationReport = Schemas['CalibrationReport']
export type Clash = Schemas['Clash']
export type TooNear = Schemas['TooNear']
export type Envelope = Schemas['Envelope']
export type FullPower = Schemas['FullPower']
export type FullFixing = Schemas['FullFixing']
export type FullGlide = Schemas['FullGlide']
export type FullHold = Schemas['FullHold']
export type FullDay = Schemas['FullDay']
export type FullHaul = Schemas['FullHaul']
export type FullCapsize = Schemas['FullCapsize']
export type MountFigure = Schemas['MountFigure']
export type MountDetail = Schemas['MountDetail']
export type HoleFigure = Schemas['HoleFigure']
export type Conductor = Schemas['Conductor']
export type FullReach = Schemas['FullReach']
export type Reaching = Schemas['Reaching']
export type Finding = Schemas['Finding']
export type Suggestion = Schemas['Suggestion']
export type Arrangement = Schemas['Arrangement']
export type ArrangeProgress = Schemas['ArrangeProgress']
export type Comparison = Schemas['Comparison']
export type Judging = Schemas['Judging']
export type LimitRow = Schemas['LimitRow']
export type Zone = Schemas['Aboard']['zone']
export type Target = Schemas['Target']
export type Between = Schemas['Between']
export type Fitting = Boat['fittings'][number]
export type FittingKind = Fitting['kind']
export type ImportRow = Schemas['ImportRow']
export type SetupName = Schemas['SetupName']
export type SetupImport = Schemas['SetupImport']
export type Instrument = Schemas['Instrument']

/** Reasons why something is refused come in the units that this person reads, see `setup/look`. */
export const UNITS_KEY = 'neat-hull-units'
export const unitsNow = () => ({ 'Neat-Units': localStorage.getItem(UNITS_KEY) ?? 'metric' })

export const api = createClient<paths>({
  baseUrl: '/',
  // No middleware: that lets go of the thread before it asks, and a drag would be drawn first.
  fetch: (request) => {
    for (const [name, value] of Object.entries(unitsNow())) request.headers.set(name, value)
    return fetch(request)
  },
})

/** The server understood and said no. */
export class Refusal extends Error {
  constructor(readonly problem: Problem) {
    super(problem.detail)
  }
}

/** There was no answer at all. */
export class Offline extends Error {
  constructor(message = 'The server cannot be reached.') {
    super(message)
  }
}

/** Nobody answered, or the server broke: what was asked may be done all the same. */
export const mayBeDone = (error: unknown): error is Offline | Refusal =>
  error instanceof Offline || (error instanceof Refusal && error.problem.status >= 500)

/** What is told where a question came to nothing. Any other error is a fault of ours: thrown on. */
export function whyNone(error: unknown): string {
  if (error instanceof Refusal || error instanceof Offline) return error.message
  throw error
}

interface Answer<T> {
  data?: T
  error?: unknown
  response: Response
}

const NO_CONTENT = 204

/** Return the data of a call, or throw Refusal or Offline. */
export async function ask<T>(call: Promise<Answer<T>>): Promise<T> {
  let answer: Answer<T>
  try {
    answer = await call
  } catch {
    throw new Offline()
  }
  if (answer.data !== undefined) return answer.data
  if (answer.response.status === NO_CONTENT) return undefined as T
  throw refused(answer.error, answer.response.status)
}

/** What was said instead of an answer, or what it comes to where that cannot be read. */
export function refused(said: unknown, status: number): Refusal {
  const problem = said as Problem | null | undefined
  return new Refusal(
    problem?.detail !== undefined
      ? problem
      : {
          type: 'about:blank',
          title: 'Something went wrong',
          status,
          detail: `The server answered ${status}.`,
          fields: [],
          current: null,
        },
  )
}

/** `ask` for a whole state; openapi-fetch forgets how long tuples are, this says it again. */
export const askState = (call: Promise<Answer<Readable<SetupState>>>): Promise<SetupState> =>
  ask(call) as Promise<SetupState>

/** The same for a preview. */
export const askPreview = (call: Promise<Answer<Readable<Preview>>>): Promise<Preview> =>
  ask(call) as Promise<Preview>

/** The same for what a start comes to so far. */
export const askStarted = (call: Promise<Answer<Readable<Started>>>): Promise<Started> =>
  ask(call) as Promise<Started>

/** By its key a change is known when it is sent again, since its answer was lost: it is made once. */
export const keyed = (key: string) => ({ 'Neat-Change': key })

/** A change that is known as data: its setup is filled in here, and the revision it is based on, where
 * there is one. */
export async function sendChange<T = SetupState>(
  { method, path, body, query }: { method: string; path: string; body?: object; query?: object },
  setup_id: number,
  revision: number | null,
  key: string,
): Promise<T> {
  const based = revision === null ? {} : { revision }
  const asked = query
    ? `?${new URLSearchParams({ ...query, ...based } as Record<string, string>)}`
    : ''
  const put = async (): Promise<Answer<T>> => {
    const response = await fetch(`${path.replace('{setup_id}', String(setup_id))}${asked}`, {
      method,
      headers: { 'Content-Type': 'application/json', ...unitsNow(), ...keyed(key) },
      ...(body && { body: JSON.stringify({ ...body, ...based }) }),
    })
    const answer = (await response.json()) as T
    return response.ok ? { data: answer, response } : { error: answer, response }
  }
  return ask(put())
}
