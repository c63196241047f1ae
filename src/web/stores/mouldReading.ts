import { defineStore } from 'pinia';
import { computed, ref, watch } from 'vue';
import { isDraped } from '../../core/mould/draped.ts';
import { mouldOfMesh } from '../../core/mould/importedMould.ts';
import { nextTask } from '../composables/nextTask.ts';
import { useBlankWork } from '../composables/useBlankWork.ts';
import { takeReady } from '../workers/blankWork.ts';
import { usePiece } from './piece.ts';

/** A mesh that is being read as the mould of the piece on the table: it goes on while another stage is looked at. */
export const useMouldReading = defineStore('mouldReading', () => {
  const piece = usePiece();
  const work = useBlankWork();
  /** Bytes are fetched before the worker has them. */
  const fetching = ref(false);
  const trouble = ref('');
  const busy = computed(() => fetching.value || work.far.value !== null);

  /** Reads a file (OBJ or STL, mm) and lays the piece over it, or says why it cannot be. */
  async function read(file: File): Promise<void> {
    const of = piece.design?.id;
    const here = () => piece.design?.id === of;
    trouble.value = '';
    fetching.value = true;
    // A file may be gone, or locked, since it was chosen.
    const bytes = await file.arrayBuffer().catch(() => null);
    fetching.value = false;
    if (!here()) return;
    if (!bytes) {
      trouble.value = `${file.name} could not be read.`;
      return;
    }
    const reply = await work.ask({ kind: 'read', name: file.name, bytes: new Uint8Array(bytes) });
    if (!reply || !here()) return;
    if (reply.kind === 'failed') trouble.value = `${file.name}: ${reply.rule}.`;
    if (reply.kind === 'refused') trouble.value = `${file.name} ${reply.rule}.`;
    if (reply.kind !== 'ready') return;
    const form = mouldOfMesh(reply.ready.mesh);
    takeReady(form, reply.ready);
    // The page answers between the file and the piece that is made of it.
    await nextTask();
    const { target } = piece;
    if (!here() || !isDraped(target)) return;
    const faults = piece.change({ ...target, form: { ...form, side: target.form.side } });
    trouble.value = faults[0] ? `${file.name} ${faults[0].rule}.` : '';
  }

  /** Another piece is laid on the table. */
  watch(
    () => piece.design?.id,
    () => {
      work.stop();
      trouble.value = '';
    },
  );

  return { busy, trouble, read, stop: work.stop };
});
