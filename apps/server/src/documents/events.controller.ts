import { ROUTES } from '@aftersquall/core/contract';
import { Controller, type MessageEvent, Sse } from '@nestjs/common';
import { interval, map, merge, type Observable, of } from 'rxjs';
import { LiveChanges } from './liveChanges.ts';

/** So often something is sent, so that nothing between the two takes the line for dead, ms. */
const HEARTBEAT = 20_000;

/** Tells open screens what has changed. */
@Controller()
export class EventsController {
  constructor(private readonly live: LiveChanges) {}

  @Sse(ROUTES.followDocuments.path)
  follow(): Observable<MessageEvent> {
    const quiet = { type: 'alive', data: '' };
    return merge(of(quiet), this.live.events, interval(HEARTBEAT).pipe(map(() => quiet)));
  }
}
