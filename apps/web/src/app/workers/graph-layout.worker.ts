// The layout library's own worker: inside a worker it answers messages by itself.
import 'elkjs/lib/elk-worker.min.js';
