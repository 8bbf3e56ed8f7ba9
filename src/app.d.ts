import type { IncomingMessage } from 'node:http';

declare global {
	namespace App {
		/** What the server beneath gives; absent while developing. */
		interface Platform {
			readonly req?: IncomingMessage;
		}
	}
}
export {};
