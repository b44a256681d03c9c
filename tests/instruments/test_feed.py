"""The feed of an instrument: read, dropped, garbled, gone silent; and the simulated box."""

import math
import socket
import time
from collections.abc import Callable, Iterator

import pytest

from neat_hull.errors import FeedError, InputError
from neat_hull.instruments.listener import Heard, Listener
from neat_hull.instruments.sentences import (
    bank_sentence,
    force_sentence,
    read_sentence,
    tilt_sentence,
)
from neat_hull.instruments.stand_in import SimulatedBoat, StandIn
from neat_hull.model.monitor import PlayStep


def checked(body: str) -> str:
    """A sentence with its checksum: all its characters by exclusive or."""
    total = 0
    for letter in body:
        total ^= ord(letter)
    return f"${body}*{total:02X}"


def until(listener: Listener, ready: Callable[[Heard], bool], seconds: float = 8.0) -> Heard:
    """Ask until it is so, or fail."""
    end = time.monotonic() + seconds
    while time.monotonic() < end:
        heard = listener.heard()
        if ready(heard):
            return heard
        time.sleep(0.02)
    raise AssertionError(f"still {listener.heard()}")


@pytest.fixture
def box() -> Iterator[StandIn]:
    """A simulated box without noise."""
    box = StandIn(0, SimulatedBoat(stiffness_kg_m=30.0, noise_deg=0.0, start_deg=0.5), seed=1)
    box.start()
    yield box
    box.stop()


@pytest.fixture
def listener(box: StandIn) -> Iterator[Listener]:
    """Listening to it."""
    listener = Listener("127.0.0.1", box.port)
    listener.start()
    yield listener
    listener.stop()


def test_sentences_read_back_what_they_say() -> None:
    tilt, force = read_sentence(tilt_sentence(-3.25, 1.5)), read_sentence(force_sentence(15.6))
    assert tilt is not None
    assert (tilt.heel_deg, tilt.trim_deg, tilt.force_kg) == (-3.25, 1.5, None)
    assert force is not None
    assert force.force_kg == pytest.approx(15.6, abs=0.006)


@pytest.mark.parametrize(
    "line",
    [
        "hello",
        "$IIXDR,A,1.23,D,HEEL*00",
        checked("IIXDR,A,x,D,HEEL"),
        "",
        "\x00\xff",
    ],
)
def test_a_garbled_line_is_told(line: str) -> None:
    with pytest.raises(InputError, match="garbled"):
        read_sentence(line)


def test_sentences_about_something_else_are_left_alone() -> None:
    assert read_sentence(checked("IIXDR,C,19.5,C,AIRT")) is None
    assert read_sentence(checked("GPGGA,,,,,,0,,,,,,,,")) is None


def test_a_live_box_is_heard(listener: Listener) -> None:
    heard = until(listener, lambda h: h.state == "live" and h.force_kg is not None)
    assert heard.heel_deg == pytest.approx(0.5, abs=0.01)
    assert heard.garbled == 0


def test_the_simulated_boat_follows_the_moment_it_is_told(listener: Listener) -> None:
    """atan(3/30) = 5.71°, over the 0.5° it lies at."""
    until(listener, lambda h: h.state == "live")
    listener.tell_moment(3.0)
    expected = 0.5 + math.degrees(math.atan(0.1))
    heard = until(listener, lambda h: abs((h.heel_deg or 0) - expected) < 0.02)
    assert heard.spread_deg is not None


def test_a_box_that_hangs_up_is_lost_and_found_again(box: StandIn, listener: Listener) -> None:
    until(listener, lambda h: h.state == "live")
    port = box.port
    box.stop()
    until(listener, lambda h: h.state == "lost")
    with pytest.raises(FeedError, match="cannot be reached"):
        listener.tell_moment(1.0)
    again = StandIn(port)
    again.start()
    until(listener, lambda h: h.state == "live")
    again.stop()


def test_a_silent_and_a_babbling_box_are_told_apart() -> None:
    with socket.create_server(("127.0.0.1", 0)) as server:
        listener = Listener("127.0.0.1", server.getsockname()[1])
        listener.start()
        line, _ = server.accept()
        until(listener, lambda h: h.state == "stale")
        line.sendall(b"what?\r\n$IIXDR,A,1.0,D,HEEL*FF\r\n")
        heard = until(listener, lambda h: h.garbled == 2)
        assert heard.state == "garbled"
        assert heard.heel_deg is None
        line.sendall(f"{tilt_sentence(2.0, 0.0)}\r\n".encode("ascii"))
        assert until(listener, lambda h: h.state == "live").heel_deg == 2.0
        line.sendall(b"x" * 5000)  # no end of line ever: not kept for good
        until(listener, lambda h: h.garbled > 2)
        line.close()
        listener.stop()


def test_the_box_minds_only_what_concerns_it() -> None:
    box = StandIn(0)
    for line in ("PNHM,abc", "$PNHM,1e9*00", "$GPGGA,1", ""):
        box.told(line)
    assert box.boat.moment_kg_m == 0.0
    box.told("$PNHM,2.5*00")
    assert box.boat.moment_kg_m == 2.5
    box.stop()


def test_a_bank_s_sentence_is_read_back_and_half_of_one_passed_over() -> None:
    said = read_sentence(bank_sentence("HOUSE", 12.81, 3.42))
    assert said is not None
    assert said.banks == (("HOUSE", 12.81, 3.42),)
    assert read_sentence(checked("IIXDR,U,12.81,V,HOUSE")) is None
    with pytest.raises(InputError):
        read_sentence(checked("IIXDR,U,nan,V,HOUSE,I,1,A,HOUSE"))


def test_the_monitor_plays_and_its_resistance_is_learned(box: StandIn, listener: Listener) -> None:
    until(listener, lambda one: one.state == "live")
    # A source of 13 V behind 0.1 ohm, 10 A on and off every two seconds of its day.
    steps = [
        PlayStep(at_s=2.0 * n + edge, bank="HOUSE", volts=13.0 - 0.1 * amps, amps=amps)
        for n in range(200)
        for edge, amps in ((0.0, 10.0 * (n % 2)), (1.9, 10.0 * (n % 2)))
    ]
    listener.play(steps, 1.0)
    end = time.monotonic() + 20.0
    while time.monotonic() < end:
        rows = {one.name: one for one in listener.banks()}
        if "HOUSE" in rows and rows["HOUSE"].resistance_ohm is not None:
            break
        time.sleep(0.05)
    house = rows["HOUSE"]
    assert house.resistance_ohm is not None
    assert house.resistance_se_ohm is not None
    assert abs(house.resistance_ohm - 0.1) < 4 * house.resistance_se_ohm + 0.005
