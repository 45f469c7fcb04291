<?php

// What the core makes of colours, keys, crops and writing, for the checks against other people's programs: a question a line, an answer a line.

use App\Media\LumaReader;
use Illuminate\Http\UploadedFile;
use Rhetorix\Core\Colour\Correction;
use Rhetorix\Core\Colour\Lab;
use Rhetorix\Core\Colour\Matching;
use Rhetorix\Core\Colour\Patch;
use Rhetorix\Core\Colour\WhitePoint;
use Rhetorix\Core\Geometry\Size;
use Rhetorix\Core\Key\ChromaKey;
use Rhetorix\Core\Reading\Writing;
use Rhetorix\Core\Reading\WritingFinder;
use Rhetorix\Core\Rig\Live\Framing;
use Rhetorix\Core\Rig\Live\Handling;
use Rhetorix\Core\Support\Fields;

require __DIR__.'/../../../vendor/autoload.php';

$patch = fn (array $levels): Patch => Patch::fromFields(Fields::of(['p' => $levels]), 'p');

while (($line = fgets(STDIN)) !== false) {
    $asked = Fields::of(json_decode($line, true));
    $all = $asked->all();
    echo json_encode(match ($asked->string('what')) {
        'colour' => array_map(Correction::none()->with($asked->object('controls'))->of(...), $all['colours']),
        'white' => WhitePoint::gains($all['warmth'], $all['tint']),
        'difference' => array_map(fn (array $pair): float => (new Lab(...$pair[0]))->differenceTo(new Lab(...$pair[1])), $all['pairs']),
        'match' => (new Handling(Framing::none(), colour: new Correction(matched: Matching::of(array_map(fn (array $pair): array => [$patch($pair[0]), $patch($pair[1])], $all['pairs'])))))->look(),
        'key' => (new Handling(Framing::none(), key: ChromaKey::fromFields($asked->object('key'))))->look(),
        'crop' => (function () use ($asked, $all): array {
            $framing = Framing::none()->with($asked->object('framing'));
            $size = new Size($all['width'], $all['height']);

            return ['seen' => $framing->toSource(\Rhetorix\Core\Geometry\Crop::whole())->inPixels($size)->toArray(), 'turn' => $framing->orientation->quarterTurns(), 'mirror' => $framing->orientation->isMirrored(), 'edges' => $framing->edges($size)];
        })(),
        'writing' => array_map(fn (Writing $writing): array => $writing->toArray(), WritingFinder::in((new LumaReader())->read(new UploadedFile($all['file'], 'page.png', test: true)))),
    }, JSON_THROW_ON_ERROR)."\n";
}
