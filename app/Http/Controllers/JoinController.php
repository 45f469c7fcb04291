<?php

namespace App\Http\Controllers;

use App\Guests\JoinDesk;
use App\Models\JoinLink;
use App\Models\Show;
use App\Models\SourceRow;
use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Rhetorix\Core\Rig\SourceKind;

/** Phones, tablets and other computers that join by a link, without signing in. */
class JoinController extends Controller
{
    public function __construct(private readonly JoinDesk $joining)
    {
    }

    public function page(string $secret): Response
    {
        $link = JoinLink::known($secret);

        return $link === null
            ? response()->view('join-ended', [], 410)
            : response()->view('join', ['link' => $link, 'place' => $link->source->name, 'show' => Show::query()->findOrFail($link->source->show_id)->name]);
    }

    /** "I am here, and still am." */
    public function here(Request $request, string $secret): JsonResponse
    {
        $asked = $request->validate(['device' => ['required', 'uuid']]);
        $this->joining->keepPlace($this->link($secret), $asked['device']);

        return response()->json(['ok' => true]);
    }

    public function offer(Request $request, string $secret): JsonResponse
    {
        $asked = $request->validate(['device' => ['required', 'uuid'], 'sdp' => ['required', 'string', 'max:60000']]);
        $this->joining->offer($this->link($secret), $asked['device'], $asked['sdp']);

        return response()->json(['ok' => true]);
    }

    public function answer(Request $request, Show $show): JsonResponse
    {
        $asked = $request->validate(['source' => ['required', 'uuid'], 'device' => ['required', 'uuid'], 'sdp' => ['required', 'string', 'max:60000']]);
        $this->joining->answer($this->phone($show, $asked['source']), $asked['device'], $asked['sdp']);

        return response()->json(['ok' => true]);
    }

    /** The link of a place, with what its QR code says. */
    public function linkOf(Request $request, Show $show, string $source): View
    {
        $link = $this->phone($show, $source)->joinLink ?? JoinLink::issue($this->phone($show, $source));

        return view('join-link', ['link' => $link, 'url' => rtrim(config('rhetorix.lan_url') ?: $request->getSchemeAndHttpHost(), '/').$link->path(), 'show' => $show, 'source' => $source, 'lan' => config('rhetorix.lan_url') !== null]);
    }

    /** A new link: the old one ends, and so does the picture that came by it. */
    public function renew(Request $request, Show $show, string $source): View
    {
        $this->joining->withdraw($show, $this->phone($show, $source));

        return $this->linkOf($request, $show, $source);
    }

    private function link(string $secret): JoinLink
    {
        return JoinLink::known($secret) ?? abort(410, 'This link has ended. Ask for a new one.');
    }

    private function phone(Show $show, string $source): SourceRow
    {
        return SourceRow::query()->with('joinLink')->where('show_id', $show->id)->where('kind', SourceKind::Phone)->findOrFail($source);
    }
}
