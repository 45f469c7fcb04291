<?php

namespace App\Http\Controllers;

use App\Media\BadMedia;
use App\Media\MediaIntake;
use App\Models\Show;
use App\Models\Upload;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/**
 * Files come in piece by piece and go on after a break.
 * The open tus protocol, version 1.0.0: its core and the creation extension.
 */
class UploadController extends Controller
{
    private const VERSION = ['Tus-Resumable' => '1.0.0', 'Cache-Control' => 'no-store'];

    public function create(Request $request, Show $show): Response
    {
        $bytes = $request->headers->get('Upload-Length');
        if ($bytes === null || preg_match('/^\d{1,15}$/', $bytes) !== 1) {
            return response('Say the size of the file in Upload-Length.', 400, self::VERSION);
        }
        $name = $this->name($request);
        if ((int) $bytes === 0) {
            throw BadMedia::empty($name);
        }
        MediaIntake::mustNotExceed('clip', (int) $bytes);
        Upload::forgetOld();
        if (disk_free_space(storage_path()) < (int) $bytes + 200 * 1_048_576) {
            throw BadMedia::noRoom();
        }
        $upload = Upload::query()->create(['show_id' => $show->id, 'user_id' => $this->person($request)->id, 'name' => $name, 'bytes' => (int) $bytes]);

        return response('', 201, [...self::VERSION, 'Location' => "/shows/{$show->id}/uploads/{$upload->id}"]);
    }

    public function offset(Show $show, Upload $upload): Response
    {
        return response('', 200, [...self::VERSION, 'Upload-Offset' => (string) $upload->arrived(), 'Upload-Length' => (string) $upload->bytes]);
    }

    public function append(Request $request, Show $show, Upload $upload): Response
    {
        if ($request->headers->get('Content-Type') !== 'application/offset+octet-stream') {
            return response('', 415, self::VERSION);
        }
        $file = fopen($upload->path(), 'c');
        if ($file === false || ! flock($file, LOCK_EX | LOCK_NB)) {
            return response('', 423, self::VERSION); // an earlier piece is still on its way
        }
        $offset = (int) $request->headers->get('Upload-Offset', '-1');
        if ($offset !== $upload->arrived()) {
            return response('', 409, [...self::VERSION, 'Upload-Offset' => (string) $upload->arrived()]);
        }
        fseek($file, $offset);
        $body = $request->getContent(true);
        stream_copy_to_stream($body, $file, $upload->bytes - $offset);
        fclose($file);

        return response('', 204, [...self::VERSION, 'Upload-Offset' => (string) $upload->arrived()]);
    }

    private function name(Request $request): string
    {
        foreach (explode(',', (string) $request->headers->get('Upload-Metadata')) as $pair) {
            [$key, $value] = [...explode(' ', trim($pair), 2), ''];
            if ($key === 'filename') {
                return mb_substr(mb_scrub((string) base64_decode($value, true)), 0, 200) ?: 'file';
            }
        }

        return 'file';
    }
}
