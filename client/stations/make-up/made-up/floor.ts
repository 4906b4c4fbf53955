import {
  Box3,
  CanvasTexture,
  LinearFilter,
  Mesh,
  MeshBasicMaterial,
  PlaneGeometry,
  Sphere,
  SRGBColorSpace,
  Vector3,
  type Group,
} from 'three'
import { hullOf, type OnFloor } from './hull.ts'
import { SUN } from './surroundings.ts'

const FLOOR = { colour: '#ece3d2', shade: '#cdbfa6', wide: 1.5, softMm: 18 }

/**
 * A floor that fades away, with the shadows of what stands on it. They are drawn into its picture once: the sun and
 * the cushions stand still, and without a graphics card a shadow worked out at every frame takes two frames of three.
 */
export function floorUnder(all: Group): Mesh {
  const box = new Box3().setFromObject(all)
  const { center, radius } = box.getBoundingSphere(new Sphere())
  const halfMm = radius * FLOOR.wide
  const picture = new CanvasTexture(floorPicture(all, center, halfMm, box.min.y))
  picture.colorSpace = SRGBColorSpace
  picture.generateMipmaps = false
  picture.minFilter = LinearFilter
  const floor = new Mesh(
    new PlaneGeometry(halfMm * 2, halfMm * 2),
    new MeshBasicMaterial({ map: picture, transparent: true }),
  )
  floor.rotation.x = -Math.PI / 2
  floor.position.set(center.x, box.min.y - 1, center.z)
  return floor
}

const PICTURE = 1024

function floorPicture(all: Group, middle: Vector3, halfMm: number, floorMm: number): HTMLCanvasElement {
  const canvas = document.createElement('canvas')
  canvas.width = canvas.height = PICTURE
  const pen = canvas.getContext('2d')!
  const k = PICTURE / (2 * halfMm)
  pen.fillStyle = FLOOR.colour
  pen.fillRect(0, 0, PICTURE, PICTURE)
  pen.filter = `blur(${Math.max(2, FLOOR.softMm * k)}px)`
  pen.fillStyle = FLOOR.shade
  pen.beginPath()
  for (const outline of shadowsOn(all, floorMm)) {
    outline.forEach(({ x, z }, i) => {
      const [px, py] = [(x - middle.x + halfMm) * k, (z - middle.z + halfMm) * k]
      return i === 0 ? pen.moveTo(px, py) : pen.lineTo(px, py)
    })
    pen.closePath()
  }
  pen.fill()
  pen.filter = 'none'
  pen.globalCompositeOperation = 'destination-in'
  const half = PICTURE / 2
  const fade = pen.createRadialGradient(half, half, half * 0.3, half, half, half)
  fade.addColorStop(0, 'rgb(0 0 0 / 100%)')
  fade.addColorStop(1, 'rgb(0 0 0 / 0%)')
  pen.fillStyle = fade
  pen.fillRect(0, 0, PICTURE, PICTURE)
  return canvas
}

/** The shadow of each thing on the floor: the hull of its box's corners, slid along the sun's rays. */
function shadowsOn(all: Group, floorMm: number): readonly (readonly OnFloor[])[] {
  return all.children.map((thing) => {
    const turned = thing.matrixWorld.clone()
    const box = new Box3()
    const inverse = turned.clone().invert()
    thing.traverse((o) => {
      if (!(o instanceof Mesh)) return
      o.geometry.computeBoundingBox()
      box.union(o.geometry.boundingBox!.clone().applyMatrix4(o.matrixWorld.clone().premultiply(inverse)))
    })
    const corners = [box.min.x, box.max.x].flatMap((x) =>
      [box.min.y, box.max.y].flatMap((y) =>
        [box.min.z, box.max.z].map((z) => new Vector3(x, y, z).applyMatrix4(turned)),
      ),
    )
    return hullOf(
      corners.map(({ x, y, z }) => ({
        x: x - ((y - floorMm) / SUN.up) * SUN.right,
        z: z - ((y - floorMm) / SUN.up) * SUN.front,
      })),
    )
  })
}
