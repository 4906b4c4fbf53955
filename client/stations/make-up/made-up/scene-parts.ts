import {
  BufferGeometry,
  CatmullRomCurve3,
  Float32BufferAttribute,
  Mesh,
  MeshLambertMaterial,
  TubeGeometry,
  Vector3,
  type Material,
} from 'three'
import type { Lay } from '../../../../contract/index.ts'
import {
  seamPath,
  spaceBetween,
  type Cover,
  type Panel,
  type SeamPair,
  type Space,
} from '../../../../core/cover/index.ts'
import { clothPoint, onCloth } from '../../../drawing/seen-cover.ts'
import type { ClothTexture } from './cloth-texture.ts'
import type { SoftPatch } from './soft-patch.ts'

/** A place of the cushion in the scene, where y is up and z comes towards the eye. */
export const inScene = ({ x, y, z }: Space): Vector3 => new Vector3(x, z, -y)

/** A soft patch with its cloth on it, as the lay cuts it. */
export function patchMesh(
  { flat, space, normals, triangles }: SoftPatch,
  panel: Panel,
  piece: string,
  lay: Lay | null,
  cloth: ClothTexture,
  material: Material,
): Mesh {
  const where = onCloth(lay, piece, panel)
  const uvs = flat.flatMap((p) => {
    const q = clothPoint(p, where)
    return [(q.x - cloth.start.across) / cloth.widthMm, (q.y - cloth.start.along) / cloth.lengthMm]
  })
  const geometry = new BufferGeometry()
  geometry.setAttribute(
    'position',
    new Float32BufferAttribute(
      space.flatMap((p) => inScene(p).toArray()),
      3,
    ),
  )
  geometry.setAttribute(
    'normal',
    new Float32BufferAttribute(
      normals.flatMap((n) => inScene(n).toArray()),
      3,
    ),
  )
  geometry.setAttribute('uv', new Float32BufferAttribute(uvs, 2))
  geometry.setIndex(triangles.flat())
  return new Mesh(geometry, material)
}

/** A round cord along a row of seam pairs. */
export function pipingMeshes(
  cover: Cover,
  pairs: readonly SeamPair[],
  radiusMm: number,
  material: Material,
): readonly Mesh[] {
  const runs = pairs.map((pair) => seamPath(cover, [pair], 6)).filter((run) => run.length > 1)
  const joined = runs.reduce<Space[][]>((all, run) => {
    const last = all.at(-1)
    const isNext = last && spaceBetween(last.at(-1)!, run[0]!) < 2
    if (isNext) last.push(...run.slice(1))
    else all.push([...run])
    return all
  }, [])
  return joined.map((run) => new Mesh(tube(run, radiusMm), material))
}

/** A line over the cushion, for a seam that is pointed at. */
export const seamMesh = (path: readonly Space[], radiusMm: number, material: Material): Mesh =>
  new Mesh(tube(path, radiusMm), material)

function tube(path: readonly Space[], radiusMm: number): TubeGeometry {
  // Doubled points keep corners sharp.
  const points = path.filter((p, i) => i === 0 || spaceBetween(p, path[i - 1]!) > 0.5).map(inScene)
  const curve = new CatmullRomCurve3(points, false, 'catmullrom', 0.05)
  return new TubeGeometry(curve, Math.min(160, Math.max(6, points.length * 2)), radiusMm, 6, false)
}

export const lambert = (options: ConstructorParameters<typeof MeshLambertMaterial>[0]): MeshLambertMaterial =>
  new MeshLambertMaterial(options)
