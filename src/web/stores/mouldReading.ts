import { defineStore } from 'pinia';
import { computed, ref, shallowRef, watch } from 'vue';
import { isDraped } from '../../core/forms/mould/draped.ts';
import {
  likelyUnit,
  mouldOfMesh,
  PLAIN_TAKING,
  type MeshLook,
  type MeshTaking,
} from '../../core/forms/mould/importedMould.ts';
import { nextTask } from '../composables/nextTask.ts';
import { useBlankWork } from '../composables/useBlankWork.ts';
import { takeReady } from '../workers/blankWork.ts';
import { usePiece } from './piece.ts';

/** A mould file that was inspected, and how to import it. */
export interface Asked {
  readonly name: string;
  readonly bytes: Uint8Array;
  readonly taking: MeshTaking;
  readonly look: MeshLook;
}

/** The import of a mesh as the mould of the open piece; it goes on while another stage is shown. */
export const useMouldReading = defineStore('mouldReading', () => {
  const piece = usePiece();
  const work = useBlankWork();
  /** The bytes are read before the worker gets them. */
  const fetching = ref(false);
  const trouble = ref('');
  const busy = computed(() => fetching.value || work.far.value !== null);

  /** An inspected file and how to import it: it waits for the potter's confirmation. */
  const asked = shallowRef<Asked | null>(null);
  const here = (of: string | undefined) => piece.design?.id === of;

  /** Reads a file (OBJ or STL) and inspects it: what the file does not say is asked. */
  async function read(file: File): Promise<void> {
    const of = piece.design?.id;
    trouble.value = '';
    asked.value = null;
    fetching.value = true;
    // The file may be gone, or locked, since it was chosen.
    const found = await file.arrayBuffer().catch(() => null);
    fetching.value = false;
    if (!here(of)) return;
    if (!found) {
      trouble.value = `${file.name} could not be read.`;
      return;
    }
    const bytes = new Uint8Array(found);
    const first = await look(file.name, bytes, PLAIN_TAKING);
    if (!first) return;
    const unit = likelyUnit(Math.max(...first.size));
    if (unit !== PLAIN_TAKING.unit) await look(file.name, bytes, { ...PLAIN_TAKING, unit });
  }

  async function look(name: string, bytes: Uint8Array, taking: MeshTaking): Promise<MeshLook | null> {
    const of = piece.design?.id;
    const reply = await work.ask({ kind: 'look', name, bytes, taking });
    if (!reply || !here(of)) return null;
    if (reply.kind === 'failed') trouble.value = `${name}: ${reply.rule}.`;
    if (reply.kind === 'refused') trouble.value = `${name} ${reply.rule}.`;
    if (reply.kind !== 'look') return null;
    asked.value = { name, bytes, taking, look: reply.look };
    return reply.look;
  }

  /** Chooses another unit, scale, axis or face. */
  async function take(change: Partial<MeshTaking>): Promise<void> {
    const { value: now } = asked;
    if (!now) return;
    // Later choices are added to this one, even before its drawing is ready.
    const taking = { ...now.taking, ...change };
    asked.value = { ...now, taking };
    await look(now.name, now.bytes, taking);
  }

  /** Lays the piece over the mould as shown, or reports why that is impossible. */
  async function accept(): Promise<void> {
    const of = piece.design?.id;
    const { value: now } = asked;
    if (!now) return;
    asked.value = null;
    const { name, bytes, taking } = now;
    const reply = await work.ask({ kind: 'read', name, bytes, taking });
    if (!reply || !here(of)) return;
    if (reply.kind === 'failed') trouble.value = `${name}: ${reply.rule}.`;
    if (reply.kind === 'refused') trouble.value = `${name} ${reply.rule}.`;
    if (reply.kind !== 'ready') return;
    const form = mouldOfMesh(reply.ready.mesh);
    takeReady(form, reply.ready);
    // Lets the page respond between reading the file and making the piece.
    await nextTask();
    const { target } = piece;
    if (!here(of) || !isDraped(target)) return;
    const side = now.look.closed ? (taking.face === 'above' ? 'hump' : 'slump') : target.form.side;
    const faults = piece.change({ ...target, form: { ...form, side } });
    trouble.value = faults[0] ? `${name} ${faults[0].rule}.` : '';
  }

  function leave(): void {
    work.stop();
    asked.value = null;
  }

  /** Resets for another piece. */
  watch(
    () => piece.design?.id,
    () => {
      leave();
      trouble.value = '';
    },
  );

  return { busy, trouble, asked, read, take, accept, leave, stop: work.stop };
});
