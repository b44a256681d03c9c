"""The same hull as a triangle mesh, cut by a general mesh library: another way to its lift."""

from typing import Any

import numpy as np
import trimesh

from neat_hull.physics.arrays import Array
from neat_hull.physics.hull.lattice import outline_at
from neat_hull.physics.hull.shape import Hull, Well


def mesh_of(hull: Hull, sections: int = 241) -> Any:
    """A closed mesh through sections at `sections` places and at every station."""
    x = np.union1d(np.linspace(hull.x_aft_m, hull.x_fwd_m, sections), hull.x_m)
    rings = []
    for at in x:
        half = _even(outline_at(hull, float(at)))
        rings.append(np.vstack((half[::-1] * [-1.0, 1.0], half)))
    count = len(rings[0])
    vertices = np.concatenate([np.column_stack((np.full(count, at), ring))
                               for at, ring in zip(x, rings, strict=True)])  # fmt: skip
    faces: list[tuple[int, ...]] = []
    for i in range(len(x) - 1):
        a, b = i * count, (i + 1) * count
        for j in range(count):
            k = (j + 1) % count
            faces += [(a + j, a + k, b + k), (a + j, b + k, b + j)]
    for end, turn in ((0, 1), ((len(x) - 1) * count, -1)):
        # A fan is no triangulation of a tunnel, but its signed areas add up to the right cap.
        faces += [(end, end + j + 1, end + j)[::turn] for j in range(1, count - 1)]
    mesh = trimesh.Trimesh(vertices, np.array(faces), process=False)
    return mesh if mesh.volume > 0 else trimesh.Trimesh(vertices, np.array(faces)[:, ::-1],
                                                        process=False)  # fmt: skip


def _even(half: Array, count: int = 65) -> Array:
    """The outline at fractions of its arc, its own corners kept."""
    steps = np.hypot(*np.diff(half, axis=0).T)
    at = np.append(0.0, np.cumsum(steps)) / max(float(steps.sum()), 1e-12)
    fine = np.linspace(0.0, 1.0, count)
    return np.column_stack([np.interp(fine, at, half[:, axis]) for axis in (0, 1)])


def box_of(well: Well) -> Any:
    """A well as a mesh; it must lie inside the hull."""
    size = (well.x_fwd_m - well.x_aft_m, 2 * well.half_breadth_m, well.rim_z_m - well.floor_z_m)
    middle = ((well.x_aft_m + well.x_fwd_m) / 2, 0.0, (well.floor_z_m + well.rim_z_m) / 2)
    box = trimesh.creation.box(extents=size)
    box.apply_translation(middle)
    return box


def under_water(mesh: Any, c: float, trim_rad: float, heel_rad: float) -> tuple[float, Array]:
    """Volume and first moments (3,) of the part under z = c − x·tan θ − y·tan φ.

    Summed over tetrahedra from a point of the plane to each face that is left: those over the
    missing lid would be flat, so nothing is lost by leaving it open.
    """
    normal = np.array([np.tan(trim_rad), np.tan(heel_rad), 1.0])
    normal /= np.linalg.norm(normal)
    origin = np.array([0.0, 0.0, c])
    vertices, faces, _ = trimesh.intersections.slice_faces_plane(  # type: ignore[no-untyped-call]  # the library has no types
        mesh.vertices, mesh.faces, -normal, origin
    )
    tri = vertices[faces] - origin
    six = np.einsum("ij,ij->i", tri[:, 0], np.cross(tri[:, 1], tri[:, 2]))
    volume = float(six.sum() / 6)
    moment = (six[:, None] * tri.sum(axis=1)).sum(axis=0) / 24
    return volume, moment + volume * origin
