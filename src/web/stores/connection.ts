import { defineStore } from 'pinia';
import { ref } from 'vue';
import { api, Refused, Unreachable } from '../api.ts';
import { lastSeen } from '../lastSeen.ts';

/** Pause between two attempts to reach the server (ms). */
const LOOK_AGAIN = 2000;

/** Whether the server answers. */
export const useConnection = defineStore('connection', () => {
  const down = ref(false);
  const waiting: (() => void)[] = [];
  /** Opens the sign-in; set by the frame. */
  let toSignIn: () => void = () => undefined;

  async function lookAgain(): Promise<void> {
    try {
      await api.health();
      down.value = false;
      for (const resume of waiting.splice(0)) resume();
    } catch (error) {
      if (error instanceof Unreachable) setTimeout(() => void lookAgain(), LOOK_AGAIN);
      else down.value = false;
    }
  }

  /** Notes what an error says about the connection; returns a message for the user. */
  function note(error: unknown): string {
    if (error instanceof Unreachable && !down.value) {
      down.value = true;
      setTimeout(() => void lookAgain(), LOOK_AGAIN);
    }
    if (error instanceof Refused && error.code === 'sign-in-needed') {
      void lastSeen.forget();
      toSignIn();
    }
    return error instanceof Error ? error.message : String(error);
  }

  /** Runs `resume` once when the server answers again. */
  function whenBack(resume: () => void): void {
    waiting.push(resume);
  }

  function signInBy(lead: () => void): void {
    toSignIn = lead;
  }

  return { down, note, whenBack, signInBy };
});
