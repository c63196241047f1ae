import { ref, shallowRef } from 'vue';
import { api, Refused } from '../api.ts';
import { heldPhotographs, type HeldPhotograph } from '../heldPhotographs.ts';

/** Photographs of the open making that the server does not have yet. */
export function makingPhotographs() {
  const unsent = shallowRef<readonly HeldPhotograph[]>([]);
  const trouble = ref('');

  async function hold(one: HeldPhotograph): Promise<void> {
    const held = await heldPhotographs.hold(one);
    trouble.value = held ? '' : 'This browser cannot hold it: keep the page open until it is sent.';
    unsent.value = [...unsent.value, one];
  }

  /** Sends those of a making one by one; true if there were any. A file that is no picture is set aside and reported. */
  async function send(making: string): Promise<boolean> {
    let refused = '';
    const sent = unsent.value.filter((one) => one.making === making);
    for (const photograph of sent) {
      try {
        await api.keepPhotograph(photograph);
      } catch (error) {
        if (!(error instanceof Refused) || error.code !== 'bad-photograph') throw error;
        refused = error.message;
      }
      unsent.value = unsent.value.filter((one) => one.id !== photograph.id);
      await heldPhotographs.drop(photograph.id);
    }
    trouble.value = refused;
    return sent.length > 0;
  }

  return { unsent, trouble, hold, send };
}
