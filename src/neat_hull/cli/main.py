"""The command `neat-hull`. Commands import what they need, so that each starts quickly."""

import json
import os
import sys
from pathlib import Path
from typing import Annotated, NoReturn

import typer

from neat_hull.errors import DoesNotFloat, NeatHullError, NoBalance

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
    from neat_hull.analysis.float_report import float_report
    from neat_hull.files.float_case import read_float_case

    try:
        report = float_report(read_float_case(case))
    except NeatHullError as error:
        _refuse(str(case), error)
    typer.echo(json.dumps(report, indent=2, allow_nan=False))


@app.command()
def serve(
    demo: Annotated[bool, typer.Option("--demo", help="Fill an empty data file.")] = False,
    data: Annotated[Path, typer.Option(help="The data file.")] = Path("neat-hull.sqlite"),
    host: Annotated[str, typer.Option(help="Loopback only unless told otherwise.")] = "127.0.0.1",
    port: Annotated[int, typer.Option(min=1, max=65535)] = 8137,
    screens: Annotated[
        Path | None, typer.Option(help="The built screens, where they are not packed in.")
    ] = None,
    instrument: Annotated[
        str | None, typer.Option(help="HOST:PORT of a tilt and force box (NMEA 0183 over TCP).")
    ] = None,
) -> None:
    """Start the application and print its address."""
    from neat_hull.cli.serve import serve as start

    try:
        start(data=data, demo=demo, host=host, port=port, screens=screens, instrument=instrument)
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
    box.start()
    typer.echo(f"Simulated box at 127.0.0.1:{port}  (Ctrl-C stops it)")
    try:
        box.stopped.wait()
    except KeyboardInterrupt:
        box.stop()


def _refuse(file: str, error: NeatHullError) -> NoReturn:
    """One line that names the file, the field and what was wrong; then the exit status."""
    line = " ".join(str(error).split())
    typer.echo(f"neat-hull: {file}: {line}", err=True)
    raise typer.Exit(3 if isinstance(error, DoesNotFloat | NoBalance) else 2)


def run() -> None:
    """Entry point. A closed pipe at the other end is no error of ours."""
    try:
        app()
    except BrokenPipeError:
        os.dup2(os.open(os.devnull, os.O_WRONLY), sys.stdout.fileno())
        raise SystemExit(1) from None
