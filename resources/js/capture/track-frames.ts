/**
 * Copies each new frame of a video track once into a canvas, so that every
 * window that shows it draws from that copy. Frames are read from the track
 * itself, which goes on in a hidden tab; where the browser cannot do that, a
 * video element is asked at each beat.
 */
interface TrackProcessor {
  readable: ReadableStream<VideoFrame>;
}
declare global {
  var MediaStreamTrackProcessor: (new (init: { track: MediaStreamTrack }) => TrackProcessor) | undefined;
}

export class TrackFrames {
  readonly canvas = document.createElement('canvas');
  private readonly context: CanvasRenderingContext2D;
  private reader: ReadableStreamDefaultReader<VideoFrame> | undefined;
  private video: HTMLVideoElement | undefined;
  private lastVideoTime = -1;

  constructor(
    private readonly track: MediaStreamTrack,
    private readonly onFrame: () => void,
  ) {
    const context = this.canvas.getContext('2d', { alpha: false });
    if (!context) throw new Error('This browser cannot paint on a canvas.');
    this.context = context;
    if (globalThis.MediaStreamTrackProcessor) {
      this.reader = new globalThis.MediaStreamTrackProcessor({ track }).readable.getReader();
      void this.read(this.reader);
    } else {
      this.video = document.createElement('video');
      this.video.muted = true;
      this.video.playsInline = true;
      this.video.srcObject = new MediaStream([track]);
      void this.video.play();
    }
  }

  /** For browsers whose tracks cannot be read. */
  beat(): void {
    const { video } = this;
    if (!video || video.readyState < 2 || video.currentTime === this.lastVideoTime) return;
    this.lastVideoTime = video.currentTime;
    this.copy(video, video.videoWidth, video.videoHeight);
  }

  stop(): void {
    void this.reader?.cancel();
    this.track.stop();
    if (this.video) this.video.srcObject = null;
  }

  private async read(reader: ReadableStreamDefaultReader<VideoFrame>): Promise<void> {
    for (;;) {
      const { value: frame, done } = await reader.read();
      if (done) return;
      this.copy(frame, frame.displayWidth, frame.displayHeight);
      frame.close();
    }
  }

  private copy(image: CanvasImageSource, width: number, height: number): void {
    if (this.canvas.width !== width || this.canvas.height !== height) {
      this.canvas.width = width;
      this.canvas.height = height;
    }
    this.context.drawImage(image, 0, 0, width, height);
    this.onFrame();
  }
}
