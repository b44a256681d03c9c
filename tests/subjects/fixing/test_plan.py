"""The order of the work, from a setup: what is closed last, what is ticked, what to have ready."""

from tests.judged import FULL, SCREEN
from tests.subjects.fixing.mountings import FOUR, WIDE, screen, with_fixing

from neat_hull.model.fixing import Mount
from neat_hull.model.fixing_figures import WorkPlan
from neat_hull.model.setup import Setup
from neat_hull.subjects.fixing.plan import work_plan
from neat_hull.whole.evaluate import evaluated


def plan(setup: Setup) -> WorkPlan:
    return work_plan(evaluated(setup))


def codes(setup: Setup) -> list[str]:
    return [step.code for step in plan(setup).steps]


def test_a_bolted_mount_goes_from_the_mark_to_the_hose() -> None:
    assert codes(screen(**FOUR)) == [
        f"mark:{WIDE}", f"drill:{WIDE}", f"deburr:{WIDE}", f"plate:{WIDE}", f"bolt:{WIDE}",
        f"set:{WIDE}", "test:hose",
    ]  # fmt: skip


def test_what_is_drilled_already_is_no_work() -> None:
    assert codes(screen(**FOUR, drilled=True)) == []


def test_a_wire_is_joined_after_its_device_is_mounted_and_before_the_hose() -> None:
    order = codes(FULL)
    assert order.index(f"bolt:{SCREEN}") < order.index("crimp:wire 1") < order.index("test:hose")
    assert order.index("lay:wire 1") < order.index("crimp:wire 1")


def test_hands_do_not_wait_for_the_sealant_but_the_hose_does() -> None:
    found = plan(screen(**FOUR))
    assert found.finish_min > found.hands_min + 1000
    bolted = next(step for step in found.steps if step.code == f"bolt:{WIDE}")
    assert bolted.start_min < found.hands_min
    dry = plan(screen(**FOUR, seal="none"))
    assert dry.finish_min == dry.hands_min


def test_what_was_ticked_keeps_its_day_and_is_no_longer_left() -> None:
    setup = screen(**FOUR)
    before = plan(setup)
    after = plan(with_fixing(setup, done={f"drill:{WIDE}": "2026-04-05"}))
    drilled = next(step for step in after.steps if step.code == f"drill:{WIDE}")
    assert drilled.done_on == "2026-04-05"
    assert after.left_min == before.left_min - drilled.hands_min


def test_what_to_have_ready_adds_up() -> None:
    needs = {need.what: need for need in plan(screen(**FOUR)).needs}
    assert needs["lock nut M6"].count == 4
    washers = next(need for what, need in needs.items() if what.startswith("washer M6"))
    assert washers.count == 8
    assert any(what.startswith("plate of aluminium") for what in needs)
    assert plan(screen(**FOUR)).bits_mm == [6.6]


def test_glue_sets_before_the_hose_and_straps_need_no_drill() -> None:
    glued = plan(screen(by="glue"))
    assert [step.code for step in glued.steps] == [f"clean:{WIDE}", f"stick:{WIDE}", "test:hose"]
    strapped = screen(by="strap")
    assert "drill" not in plan(strapped).tools
    assert Mount(by="strap").bolts is None
