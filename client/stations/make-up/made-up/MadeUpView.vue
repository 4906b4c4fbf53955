<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import {
  Box3,
  Color,
  Group,
  Mesh,
  MeshBasicMaterial,
  PerspectiveCamera,
  Raycaster,
  Scene,
  Vector2,
  Vector3,
  WebGLRenderer,
} from 'three'
import { OrbitControls } from 'three/addons/controls/OrbitControls.js'
import { computed, onBeforeUnmount, onMounted, ref, watch } from 'vue'
import { pieceId } from '../../../../core/cloth/index.ts'
import { clothFor, pipedPairs, seamPath, type Cover, type Patch } from '../../../../core/cover/index.ts'
import type { WorkedPlan } from '../../../../core/planned/index.ts'
import { useDesign } from '../../../stores/design.ts'
import { useJob } from '../../../stores/job.ts'
import { useLay } from '../../../stores/lay/index.ts'
import { useSeam } from '../../../stores/seam.ts'
import { washed } from '../../../../core/pattern/index.ts'
import { clothTexture, type ClothTexture } from './cloth-texture.ts'
import { crownOf } from './crown.ts'
import { floorUnder } from './floor.ts'
import { inScene, lambert, patchMesh, pipingMeshes, seamMesh } from './scene-parts.ts'
import { setPicture } from '../../../../core/job/index.ts'
import { pictureOf } from '../../../drawing/picture-of.ts'
import { addPhoto } from '../../../offline/left-photos.ts'
import { softPatch, type SoftPatch } from './soft-patch.ts'
import { standing, type Standing } from './standing.ts'
import { lights, seatUnder } from './surroundings.ts'

/** All cushions of the job standing together as they will sit, in their cloth as the lay cuts it. */
const jobs = useJob()
const lays = useLay()
const design = useDesign()
const lit = useSeam()
const plan = computed(() => jobs.plan as WorkedPlan)
const place = ref<HTMLElement | null>(null)
const canvas = ref<HTMLCanvasElement | null>(null)
const fault = ref('')
const { width, height } = useElementSize(place, { width: 700, height: 500 })
const isLaid = computed(() => lays.all.some((l) => l !== null))

const litSeam = computed(() => design.chosen?.cover.seams.find((s) => s.letter === lit.letter) ?? null)

let renderer: WebGLRenderer | null = null
let controls: OrbitControls | null = null
let wanted = 0
const scene = new Scene()
const camera = new PerspectiveCamera(32, 1, 10, 40_000)
const all = new Group()
const marked = new Group()
const textures = new Map<string, ClothTexture>()
const around = new Group()
scene.add(all, marked, around, lights())

/** Drawn when something moved, never on its own. */
function draw(): void {
  cancelAnimationFrame(wanted)
  wanted = requestAnimationFrame(() => renderer?.render(scene, camera))
}

function build(): void {
  clear(all)
  clear(around)
  textures.forEach(({ texture }) => texture.dispose())
  textures.clear()
  const soft = new Map<Patch, SoftPatch>()
  for (const stands of standing(plan.value)) {
    const { cushion, design: own, part } = stands
    const cord = lambert({ color: new Color(clothFor(own.part.cloth, 'piping').ground).multiplyScalar(0.72) })
    const group = groupAt(stands)
    group.userData = { cushion, part: part.part.letter }
    const crown = crownOf(own.filling)
    for (const patch of own.cover.patches) {
      const panel = own.cover.panels.find((p) => p.id === patch.panel)!
      if (panel.cloth === 'lining') continue
      const cloth = clothFor(own.part.cloth, panel.cloth)
      const texture = textures.get(cloth.id) ?? clothTexture(washed(cloth), lays.of(cloth.id))
      textures.set(cloth.id, texture)
      if (!soft.has(patch)) soft.set(patch, softPatch(patch, crown))
      const mesh = patchMesh(
        soft.get(patch)!,
        panel,
        pieceId({ part: part.prefix, cushion, layer: 'cover', panel: panel.id }),
        lays.of(cloth.id),
        texture,
        lambert({ map: texture.texture }),
      )
      mesh.userData = { panel: panel.id, cover: own.cover }
      group.add(mesh)
    }
    const piping = own.cover.piping
    if (piping) {
      const size = piping.choice.kind === 'flat' ? piping.choice.showMm : piping.choice.cordMm
      for (const mesh of pipingMeshes(own.cover, pipedPairs(own.cover), size / 2 + 0.8, cord)) group.add(mesh)
    }
    const zip = lambert({ color: '#3c3a36' })
    for (const c of own.cover.closures) {
      const seam = own.cover.seams.find((s) => s.letter === c.seam)
      for (const pair of seam?.pairs ?? []) group.add(seamMesh(seamPath(own.cover, [pair], 8), 2.2, zip))
    }
    if (stands.tiltRad === 0 && stands.z === 0) group.add(seatUnder(stands))
    all.add(group)
  }
  scene.updateMatrixWorld()
  around.add(floorUnder(all))
  markLit()
}

/** Turned about the upright, then tilted about its own front edge. */
function groupAt({ x, y, z, turnRad, tiltRad }: Standing): Group {
  const group = new Group()
  group.position.set(x, z, -y)
  group.rotation.set(tiltRad, turnRad, 0, 'YXZ')
  return group
}

/** The seam that is pointed at, here or anywhere, on every cushion of the chosen design. */
function markLit(): void {
  clear(marked)
  const material = lambert({ color: '#2f5f8f', emissive: '#2f5f8f' })
  for (const stands of standing(plan.value)) {
    const { design: own } = stands
    const seam =
      own.design.id === design.chosen?.design.id ? own.cover.seams.find((s) => s.letter === lit.letter) : undefined
    if (!seam) continue
    const group = groupAt(stands)
    for (const pair of seam.pairs) group.add(seamMesh(seamPath(own.cover, [pair], 10), 5, material))
    marked.add(group)
  }
  draw()
}

function clear(group: Group): void {
  group.traverse((o) => {
    if (!(o instanceof Mesh)) return
    o.geometry.dispose()
    for (const m of [o.material].flat()) {
      if (m instanceof MeshBasicMaterial) m.map?.dispose()
      m.dispose()
    }
  })
  group.clear()
}

/** Left free round the cushions. */
const SPARE = 1.08

function frameAll(): void {
  const box = new Box3().setFromObject(all)
  const middle = box.getCenter(new Vector3())
  const size = box.getSize(new Vector3())
  const half = Math.max(size.x / 2 / Math.max(0.6, camera.aspect), (size.y + size.z * 0.55) / 2)
  const away = (half * SPARE) / Math.tan((camera.fov * Math.PI) / 360) + size.z / 2
  camera.position.set(middle.x + away * 0.2, middle.y + away * 0.5, middle.z + away * 0.84)
  controls!.target.copy(middle)
  controls!.update()
}

/** The nearest seam to where the pointer meets a cushion. */
function point(event: PointerEvent): void {
  if (!renderer || event.buttons !== 0) return
  const box = renderer.domElement.getBoundingClientRect()
  const at = new Vector2(
    ((event.clientX - box.left) / box.width) * 2 - 1,
    -((event.clientY - box.top) / box.height) * 2 + 1,
  )
  const caster = new Raycaster()
  caster.setFromCamera(at, camera)
  const hit = caster.intersectObjects(all.children, true).find((h) => h.object.userData['panel'])
  if (!hit) return void (lit.letter = null)
  const cover = hit.object.userData['cover'] as Cover
  const local = hit.object.parent!.worldToLocal(hit.point.clone())
  const near = cover.seams
    .map((s) => ({
      letter: s.letter,
      far: Math.min(Infinity, ...seamPath(cover, s.pairs, 16).map((p) => inScene(p).distanceTo(local))),
    }))
    .reduce((a, b) => (b.far < a.far ? b : a), { letter: '', far: NEAR_MM })
  lit.letter = near.letter === '' ? null : near.letter
}
const NEAR_MM = 28

const isKeeping = ref(false)
const kept = ref('')
/** As they are turned now, for the customer. */
async function keep(): Promise<void> {
  isKeeping.value = true
  try {
    renderer!.render(scene, camera)
    const picture = await addPhoto(jobs.id, await pictureOf(renderer!.domElement))
    jobs.edit(setPicture('Picture for the quote', picture))
    kept.value = 'It stands on the quote, at the station Bill.'
  } catch (cause) {
    kept.value = (cause as Error).message
  } finally {
    isKeeping.value = false
  }
}

onMounted(() => {
  try {
    renderer = new WebGLRenderer({ canvas: canvas.value!, antialias: false, alpha: true })
  } catch {
    fault.value = 'This browser cannot draw in space: the view of one cushion works without.'
    return
  }
  controls = new OrbitControls(camera, renderer.domElement)
  controls.maxPolarAngle = Math.PI * 0.49
  controls.addEventListener('change', draw)
  controls.addEventListener('start', () => sharpen(TURNING))
  controls.addEventListener('end', () => sharpen(STILL))
  renderer.setPixelRatio(STILL)
  build()
  resize()
  frameAll()
  draw()
})
/** While it turns it is drawn coarsely, to keep up without a graphics card; at rest twice as fine. */
const TURNING = 0.8
const STILL = 2
function sharpen(ratio: number): void {
  renderer?.setPixelRatio(ratio)
  draw()
}
function resize(): void {
  renderer?.setSize(width.value, Math.max(100, height.value), true)
  camera.aspect = width.value / Math.max(100, height.value)
  camera.updateProjectionMatrix()
  draw()
}
watch([width, height], resize)
watch([() => jobs.plan, () => lays.all], build)
watch([() => lit.letter, () => design.index], markLit)
onBeforeUnmount(() => {
  cancelAnimationFrame(wanted)
  clear(all)
  clear(marked)
  clear(around)
  textures.forEach(({ texture }) => texture.dispose())
  controls?.dispose()
  renderer?.dispose()
})
</script>

<template>
  <div ref="place" class="made-up">
    <canvas
      v-show="!fault"
      ref="canvas"
      tabindex="0"
      aria-label="The cushions made up, standing as they will sit: drag to turn, wheel to come nearer"
      @pointermove="point"
      @pointerleave="lit.letter = null"
    />
    <p v-if="fault" role="alert" class="fault">{{ fault }}</p>
    <div v-else class="keep no-print">
      <button type="button" class="plain-button" :disabled="isKeeping" @click="keep">
        {{ isKeeping ? 'Keeping …' : 'Keep for the quote' }}
      </button>
      <span v-if="kept" role="status">{{ kept }}</span>
    </div>
    <p v-if="!fault && litSeam" class="caption">
      Seam <b>{{ litSeam.letter }}</b>, {{ litSeam.name }}
    </p>
    <p v-else-if="!fault" class="caption">
      Drag to turn them, wheel to come nearer; point at an edge to see its seam.
      {{ isLaid ? 'Stripes fall as the lay cuts them.' : 'Not laid yet: stripes fall by chance.' }}
    </p>
  </div>
</template>

<style scoped>
.made-up {
  position: absolute;
  inset: 0;
  overflow: hidden;
}

canvas {
  display: block;
  cursor: grab;
}

.keep {
  position: absolute;
  right: 12px;
  bottom: 40px;
  display: flex;
  align-items: center;
  gap: 10px;
  font-size: 14px;
}

.caption {
  position: absolute;
  left: 16px;
  bottom: 8px;
  margin: 0;
  font-size: 14px;
  color: var(--ink-soft);
}

.fault {
  padding: 60px 20px;
}
</style>
