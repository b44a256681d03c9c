"""The command `neat-hull`. Commands import what they need, so that each starts quickly."""

import json
import os
import signal
import sys
from pathlib import Path
from typing import Annotated, Literal, NoReturn

import platformdirs
import typer

from neat_hull.errors import (
    DoesNotFloat,
    NeatHullError,
    NoBalance,
    NoOrder,
    NoPosition,
    NotSupplied,
)

app = typer.Typer(
    name="neat-hull",
    help="Plan where everything goes on a fishing kayak, and see what the boat does with it.",
    add_completion=False,
    no_args_is_help=True,
    pretty_exceptions_enable=False,
)


@app.callback()
def _root() -> None:
    """Keep one command from becoming the whole program."""


@app.command(name="float")
def float_(case: Annotated[Path, typer.Argument(help="A float case, JSON.")]) -> None:
    """Print the hydrostatics of a bare case as JSON."""
    from neat_hull.files.bare_case import read_bare_case
    from neat_hull.model.float_case import FloatCase
    from neat_hull.subjects.afloat.case import float_report

    try:
        report = float_report(read_bare_case(case, FloatCase))
    except NeatHullError as error:
        _refuse(str(case), error)
    typer.echo(json.dumps(report, indent=2, allow_nan=False))


@app.command("power")
def power(case: Annotated[Path, typer.Argument(help="A power case, JSON.")]) -> None:
    """Print what batteries, wires and loads of a bare case come to, as JSON."""
    from neat_hull.files.power_case import read_power_case
    from neat_hull.subjects.power.case import power_report

    try:
        report = power_report(read_power_case(case))
    except NeatHullError as error:
        _refuse(str(case), error)
    typer.echo(json.dumps(report, indent=2, allow_nan=False))


@app.command("glide")
def glide(case: Annotated[Path, typer.Argument(help="A glide case, JSON.")]) -> None:
    """Print what holds a bare case back in water and wind, and how it drifts, as JSON."""
    from neat_hull.files.bare_case import read_bare_case
    from neat_hull.model.glide_case import GlideCase
    from neat_hull.subjects.glide.case import glide_report

    try:
        report = glide_report(read_bare_case(case, GlideCase))
    except NeatHullError as error:
        _refuse(str(case), error)
    typer.echo(json.dumps(report, indent=2, allow_nan=False))


@app.command("hold")
def hold(case: Annotated[Path, typer.Argument(help="A hold case, JSON.")]) -> None:
    """Print how a bare case lies at anchor or at a pole, and whether that holds, as JSON."""
    from neat_hull.files.bare_case import read_bare_case
    from neat_hull.model.glide_case import HoldCase
    from neat_hull.subjects.hold.case import hold_report

    try:
        report = hold_report(read_bare_case(case, HoldCase))
    except NeatHullError as error:
        _refuse(str(case), error)
    typer.echo(json.dumps(report, indent=2, allow_nan=False))


@app.command("mount")
def mount(case: Annotated[Path, typer.Argument(help="A mount case, JSON.")]) -> None:
    """Print what mounts, holes and steps of a bare case come to, as JSON."""
    from neat_hull.files.bare_case import read_bare_case
    from neat_hull.model.mount_case import MountCase
    from neat_hull.subjects.fixing.case import mount_report

    try:
        report = mount_report(read_bare_case(case, MountCase))
    except NeatHullError as error:
        _refuse(str(case), error)
    typer.echo(json.dumps(report, indent=2, allow_nan=False))


@app.command("capsize")
def capsize(case: Annotated[Path, typer.Argument(help="A capsize case, JSON.")]) -> None:
    """Print what a bare case loses upside down, and whether it floats full of water, as JSON."""
    from neat_hull.files.bare_case import read_bare_case
    from neat_hull.model.capsize_case import CapsizeCase
    from neat_hull.subjects.capsize.case import capsize_report

    try:
        report = capsize_report(read_bare_case(case, CapsizeCase))
    except NeatHullError as error:
        _refuse(str(case), error)
    typer.echo(json.dumps(report, indent=2, allow_nan=False))


@app.command("day")
def day(case: Annotated[Path, typer.Argument(help="A day case, JSON.")]) -> None:
    """Print how a bare case lies hour by hour as its load changes, as JSON."""
    from neat_hull.files.bare_case import read_bare_case
    from neat_hull.model.day_case import DayCase
    from neat_hull.subjects.day.case import day_report

    try:
        report = day_report(read_bare_case(case, DayCase))
    except NeatHullError as error:
        _refuse(str(case), error)
    typer.echo(json.dumps(report, indent=2, allow_nan=False))


@app.command("haul")
def haul(case: Annotated[Path, typer.Argument(help="A haul case, JSON.")]) -> None:
    """Print what lifting, loading and wheeling a bare case comes to, as JSON."""
    from neat_hull.files.bare_case import read_bare_case
    from neat_hull.model.haul_case import HaulCase
    from neat_hull.subjects.haul.case import haul_report

    try:
        report = haul_report(read_bare_case(case, HaulCase))
    except NeatHullError as error:
        _refuse(str(case), error)
    typer.echo(json.dumps(report, indent=2, allow_nan=False))


def _own_data() -> Path:
    """The data file where none is named: the one beside where we are started, as it was once, else
    in the user's own data folder."""
    beside = Path(_DATA_NAME)
    if beside.exists():
        return beside
    own = platformdirs.user_data_path("neat-hull", appauthor=False, ensure_exists=True)
    return own / _DATA_NAME


_DATA_NAME = "neat-hull.sqlite"
_Data = Annotated[
    Path,
    typer.Option(
        default_factory=_own_data,
        show_default="in your own data folder",
        help="The data file.",
    ),
]


@app.command()
def serve(
    data: _Data,
    demo: Annotated[bool, typer.Option("--demo", help="Fill an empty data file.")] = False,
    host: Annotated[str, typer.Option(help="Loopback only unless told otherwise.")] = "127.0.0.1",
    port: Annotated[int, typer.Option(min=1, max=65535)] = 8137,
    screens: Annotated[
        Path | None, typer.Option(help="The built screens, where they are not packed in.")
    ] = None,
    instrument: Annotated[
        str | None, typer.Option(help="HOST:PORT of a tilt and force box (NMEA 0183 over TCP).")
    ] = None,
    open_: Annotated[bool, typer.Option("--open", help="Open it in the browser.")] = False,
    lan: Annotated[
        bool, typer.Option("--lan", help="For your phone too: prints an address with a key.")
    ] = False,
) -> None:
    """Start the application and print its address."""
    from neat_hull.cli.serve import serve as start

    try:
        start(
            data=data,
            demo=demo,
            host=host,
            port=port,
            screens=screens,
            instrument=instrument,
            browse=open_,
            lan=lan,
        )
    except NeatHullError as error:
        typer.echo(f"neat-hull: {error}", err=True)
        raise typer.Exit(2) from None


@app.command()
def instrument(
    port: Annotated[int, typer.Option(min=1, max=65535)] = 10138,
    stiffness_kg_m: Annotated[
        float, typer.Option(min=0.1, help="Δ·GM of its made-up boat, kg·m.")
    ] = 34.0,
) -> None:
    """Run a simulated tilt and force box on loopback, until Ctrl-C."""
    from neat_hull.instruments.stand_in import SimulatedBoat, StandIn

    try:
        box = StandIn(port, SimulatedBoat(stiffness_kg_m=stiffness_kg_m))
    except OSError as error:
        typer.echo(f"neat-hull: 127.0.0.1:{port}: cannot be used: {error.strerror}", err=True)
        raise typer.Exit(2) from None
    # A shell that starts it in the background lets it ignore Ctrl-C; it is stopped by nothing else.
    signal.signal(signal.SIGINT, signal.default_int_handler)
    try:
        box.start()
        typer.echo(f"Simulated box at 127.0.0.1:{port}  (Ctrl-C stops it)")
        box.stopped.wait()
    except KeyboardInterrupt:
        box.stop()


@app.command()
def check(
    setup: Annotated[Path, typer.Argument(help="A setup file, JSON.")],
    as_json: Annotated[bool, typer.Option("--json", help="All figures as JSON.")] = False,
) -> None:
    """Evaluate a whole setup file: figures and findings; exit status 1 when one is a stop."""
    from neat_hull.cli.report import lines
    from neat_hull.files.setup_file import read_setup_file
    from neat_hull.whole.evaluate import live, require_afloat
    from neat_hull.whole.registry import require_known_limits

    try:
        asked = read_setup_file(setup)
        require_known_limits(asked.judging)
        figures = live(require_afloat(asked))
    except NeatHullError as error:
        _refuse(str(setup), error)
    typer.echo(figures.model_dump_json(indent=2) if as_json else "\n".join(lines(figures)))
    if any(one.verdict == "stop" and one.accepted is None for one in figures.findings):
        raise typer.Exit(1)


@app.command()
def schema(
    of: Annotated[Literal["setup", "log"], typer.Argument(help="Which file.")] = "setup",
) -> None:
    """Print the JSON Schema of the setup file, or of the log's."""
    from neat_hull.files.log_json import log_schema
    from neat_hull.files.setup_file import setup_schema

    typer.echo(json.dumps(setup_schema() if of == "setup" else log_schema(), indent=2))


@app.command(name="export")
def export_(
    setup_id: Annotated[int, typer.Argument(min=1)],
    to: Annotated[Path, typer.Option(help="The file to write.")],
    data: _Data,
) -> None:
    """Write a setup of the data file to a file of its own; one that is there is not overwritten."""
    from neat_hull.cli.data import export_setup

    try:
        export_setup(data, setup_id, to)
    except NeatHullError as error:
        _refuse(str(to), error)
    typer.echo(f"{to}: written")


@app.command(name="import")
def import_(
    files: Annotated[list[Path], typer.Argument(help="Setups (JSON), gear or hull lines (CSV).")],
    data: _Data,
    onto: Annotated[
        int | None, typer.Option(min=1, help="A setup of the boat that hull lines are for.")
    ] = None,
    take_good: Annotated[
        bool, typer.Option(help="Leave out lines of a table that cannot be taken.")
    ] = False,
) -> None:
    """Take files into the data file, all or none; nothing that is there is overwritten."""
    from neat_hull.cli.data import import_files

    for file, outcome in import_files(data, files, onto, take_good):
        if isinstance(outcome, NeatHullError):
            _refuse(str(file), outcome)
        typer.echo(f"{file}: {outcome}")


@app.command()
def backup(
    to: Annotated[Path, typer.Argument(help="The copy to write.")],
    data: _Data,
) -> None:
    """Copy the data file while it is in use; a file that is there is not overwritten."""
    from neat_hull.cli.data import back_up

    try:
        back_up(data, to)
    except NeatHullError as error:
        _refuse(str(to), error)
    typer.echo(f"{to}: written")


@app.command()
def restore(
    copy: Annotated[Path, typer.Argument(help="A copy that backup wrote.")],
    data: _Data,
) -> None:
    """Put a copy in the place of the data file; what was there is kept beside it."""
    from neat_hull.cli.data import restore as put_back

    try:
        before = put_back(data, copy)
    except NeatHullError as error:
        _refuse(str(copy), error)
    typer.echo(f"{data}: restored" + (f"; what was there is in {before}" if before else ""))


def _refuse(file: str, error: NeatHullError) -> NoReturn:
    """One line that names the file, the field and what was wrong; then the exit status."""
    line = " ".join(str(error).split())
    typer.echo(f"neat-hull: {file}: {line}", err=True)
    raise typer.Exit(
        3 if isinstance(error, DoesNotFloat | NoBalance | NotSupplied | NoOrder | NoPosition) else 2
    )


def run() -> None:
    """Entry point. A closed pipe at the other end is no error of ours."""
    try:
        app()
    except BrokenPipeError:
        os.dup2(os.open(os.devnull, os.O_WRONLY), sys.stdout.fileno())
        raise SystemExit(1) from None
