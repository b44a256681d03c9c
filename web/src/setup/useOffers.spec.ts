import { beforeEach, describe, expect, it } from 'vitest'
import { opened, type ServerStub } from './server.stub'
import { useOffers } from './useOffers'

const CRATE = 7

describe('what the log has learned', () => {
  let there: ServerStub
  let offers: ReturnType<typeof useOffers>

  beforeEach(async () => {
    ;({ there } = await opened())
    offers = useOffers()
  })

  it('is taken over as a field of the item, with what stood there', async () => {
    offers.takeUse({ thing_id: CRATE, suggested: 'once' } as never)
    expect(await there.body()).toMatchObject({
      edits: [{ what: 'thing', id: CRATE, fields: { use: 'once' } }],
    })
  })

  it('asks for nothing where nothing is suggested, or the item is gone', async () => {
    offers.takeUse({ thing_id: CRATE, suggested: null } as never)
    offers.takeUse({ thing_id: 99, suggested: 'once' } as never)
    offers.takeDraw({ loads: [{ thing_id: 99, draw: { watts: 4 } }] } as never)
    expect(await there.asked()).toBe(0)
  })

  it('of several loads on one battery is one step', async () => {
    offers.takeDraw({
      loads: [CRATE, 8, 99].map((thing_id) => ({ thing_id, draw: { watts: 4 } })),
    } as never)
    expect(await there.body()).toMatchObject({
      edits: [
        { id: CRATE, fields: { draw: { watts: 4 } } },
        { id: 8, fields: { draw: { watts: 4 } } },
      ],
    })
    expect(await there.asked()).toBe(1)
  })

  it('of trips goes to how it is mounted, and what is never used goes ashore', async () => {
    offers.takeTrips({ thing_id: CRATE, n: 12 } as never)
    expect(await there.body()).toMatchObject({
      edits: [{ what: 'setup', fields: { fixing: { mounts: { [CRATE]: { trips: 12 } } } } }],
    })
    await there.answers({ detail: 'no', status: 422, fields: [] }, 422)
    offers.leaveAshore({ thing_id: CRATE } as never)
    expect(await there.body()).toMatchObject({
      edits: [{ what: 'place', id: CRATE, fields: null }],
    })
  })
})
