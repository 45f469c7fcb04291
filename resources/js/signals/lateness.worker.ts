/** The idle thread that the painter's is compared with. */
import { lateness } from './lateness';

onmessage = (event: MessageEvent<number>) => {
  void lateness(event.data).then((late) => postMessage(late));
};
