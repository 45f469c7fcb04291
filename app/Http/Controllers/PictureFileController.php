<?php

namespace App\Http\Controllers;

use App\Media\GuideImage;
use App\Models\PictureRow;
use App\Models\Show;
use App\Shows\CommandPipeline;
use App\Shows\Composing;
use App\Shows\ShowBook;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Str;
use Rhetorix\Core\Geometry\Crop;
use Rhetorix\Core\Geometry\Orientation;
use Rhetorix\Core\Geometry\Size;
use Rhetorix\Core\Picture\PictureFile;
use Rhetorix\Core\Picture\SlideGuide;
use Rhetorix\Core\Support\Fields;
use Rhetorix\Core\Support\Refusal;

/** Pictures as files, in other shows, and as a guide for the author of slides. */
class PictureFileController extends Controller
{
    /** One picture, or all that somebody made: the full-screen picture of a source comes with its source. */
    public function save(Show $show, ShowBook $books, ?string $picture = null): JsonResponse
    {
        $name = $picture === null ? $show->name : $show->pictures()->findOrFail($picture)->name;

        return response()->json($this->file($show, $books, $picture), options: JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE)
            ->header('Content-Disposition', 'attachment; filename="'.(Str::slug($name) ?: 'pictures').'.pictures.json"');
    }

    /** {to: id of another show of this person}: the picture is there too, with the sources of the same names. */
    public function copy(Request $request, Show $show, string $picture, ShowBook $books, CommandPipeline $pipeline): JsonResponse
    {
        $person = $this->person($request);
        $to = Fields::of($request->json()->all())->string('to', 64);
        $other = Str::isUuid($to) ? $person->shows()->find($to) : null;
        if (! $other instanceof Show || ! $person->can('operate', $other)) {
            throw new Refusal('You cannot put pictures into that show. Ask its lead.');
        }
        $update = $pipeline->run($other, $person, ['id' => (string) Str::uuid(), 'type' => 'picture.bring', 'file' => json_decode((string) json_encode($this->file($show, $books, $picture)), true)]);

        return response()->json(['revision' => $update['revision']]);
    }

    public function guide(Show $show, string $picture, string $form, GuideImage $image): Response
    {
        abort_unless(in_array($form, ['svg', 'png'], true), 404);
        $row = $show->pictures()->with('fills')->findOrFail($picture);
        $composing = Composing::reader($show)($row->toPicture());
        $coverage = $composing->coverage() ?? throw new Refusal('This picture has no place for material, so that there is nothing to mark. Give a window the purpose “Material” first.');
        $slide = $composing->source($coverage->material->slot)?->layoutSize() ?? new Size(1920, 1080);
        $layer = $composing->plan()->layerOf($coverage->material->slot);
        if ($layer !== null && $layer->orientation !== Orientation::Upright) {
            throw new Refusal('The material is turned or mirrored in this picture. Turn it upright first; then the guide fits its slides.');
        }
        $svg = view('guide', ['guide' => SlideGuide::of($coverage, $slide, $layer->crop ?? Crop::whole(), $show->canvas()->size), 'name' => $row->name])->render();

        return response($form === 'svg' ? $svg : $image->png($svg), 200, [
            'Content-Type' => $form === 'svg' ? 'image/svg+xml' : 'image/png',
            'Content-Disposition' => 'attachment; filename="guide-'.(Str::slug($row->name) ?: 'picture').".{$form}\"",
            'X-Content-Type-Options' => 'nosniff',
        ]);
    }

    /** @return array<string, mixed> */
    private function file(Show $show, ShowBook $books, ?string $picture): array
    {
        $rows = $show->pictures()->with('fills')->when($picture, fn ($rows) => $rows->whereKey($picture), fn ($rows) => $rows->whereNull('own_source_id'))->get();

        return PictureFile::write($show->canvas()->size, array_values($rows->map(fn (PictureRow $row) => $row->toPicture())->all()), $books->of($show)->sources());
    }
}
