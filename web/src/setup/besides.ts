/** Changes of what is kept beside setups: purchases, dates, lists, care, the page to leave behind. */
import type { Schemas } from '@/api/client'
import { call, type Change } from './calls'
import type { Request } from './outbox'

type Purchase = Schemas['Purchase']
type Dated = Schemas['DatedItem']
type KeptPurchase = Schemas['KeptPurchase']
type KeptDate = Schemas['Dated']
type List = Schemas['Checklist']['name']
const AT = '/api/v1/setups/{setup_id}'

export function besidesOf(change: Change, nameOf: (id: number) => string) {
  const beside = (label: string, request: Request) => change(label, { ...request, beside: true })

  const bought = (one: Purchase) =>
    `purchase of ${one.thing_id == null ? one.what : nameOf(one.thing_id)}`
  const addPurchase = (body: Purchase) =>
    beside(bought(body), call('post', `${AT}/money/purchases`, { body }))
  const changePurchase = (one: KeptPurchase, fields: Partial<Purchase>) =>
    beside(
      bought(one),
      call('patch', `${AT}/money/purchases/{purchase_id}`, {
        body: { fields },
        ids: { purchase_id: one.purchase_id },
      }),
    )
  const dropPurchase = (one: KeptPurchase) =>
    beside(
      `deleting the ${bought(one)}`,
      call('delete', `${AT}/money/purchases/{purchase_id}`, {
        ids: { purchase_id: one.purchase_id },
      }),
    )

  const dated = ({ kind, thing_id }: Dated) =>
    `date of ${thing_id == null ? kind : `${nameOf(thing_id)}, ${kind}`}`
  const addDate = (body: Dated) => beside(dated(body), call('post', `${AT}/dates`, { body }))
  const changeDate = (one: KeptDate, fields: Partial<Dated>) =>
    beside(
      dated(one),
      call('patch', `${AT}/dates/{dated_id}`, {
        body: { fields },
        ids: { dated_id: one.dated_id },
      }),
    )
  const dropDate = (one: KeptDate) =>
    beside(
      `deleting the ${dated(one)}`,
      call('delete', `${AT}/dates/{dated_id}`, { ids: { dated_id: one.dated_id } }),
    )

  const lookAfter = (body: Schemas['CareChange']) =>
    beside('what was looked after', call('patch', `${AT}/log/care`, { body }))
  const dropTrip = (trip_id: number) =>
    beside('deleting a trip', call('delete', `${AT}/log/trips/{trip_id}`, { ids: { trip_id } }))

  const addLine = (name: List, text: string) =>
    beside(text, call('post', `${AT}/lists/{name}/lines`, { body: { text }, ids: { name } }))
  const dropLine = (line_id: number) =>
    beside('deleting a line', call('delete', `${AT}/lists/lines/{line_id}`, { ids: { line_id } }))
  const hideLine = (name: List, line: string, hidden: boolean) =>
    beside(
      hidden ? 'leaving a line out' : 'a line put back',
      call('put', `${AT}/lists/{name}/hidden`, { body: { line, hidden }, ids: { name } }),
    )

  const putFloatPlan = (fields: Partial<Schemas['FloatPlan']>) =>
    beside('the float plan', call('patch', `${AT}/float-plan`, { body: { fields } }))

  return {
    addPurchase,
    changePurchase,
    dropPurchase,
    addDate,
    changeDate,
    dropDate,
    lookAfter,
    dropTrip,
    addLine,
    dropLine,
    hideLine,
    putFloatPlan,
  }
}
