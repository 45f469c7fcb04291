<?php

namespace App\Media;

use DOMDocument;
use DOMElement;
use DOMXPath;

/** An SVG may draw; it may not run scripts or fetch anything. */
final class SvgCheck
{
    private const FORBIDDEN = ['script', 'foreignobject', 'iframe', 'embed', 'object', 'audio', 'video', 'handler', 'listener'];

    /**
     * @return array{int, int} width and height in pixels
     *
     * @throws BadMedia
     */
    public function size(string $text, string $name): array
    {
        if (preg_match('/<!(DOCTYPE|ENTITY)[^>]*(\[|SYSTEM|ENTITY)/i', $text) === 1) {
            throw BadMedia::svgWithScripts($name);
        }
        $document = new DOMDocument;
        if (! @$document->loadXML($text, LIBXML_NONET) || ! $document->documentElement instanceof DOMElement || $document->documentElement->localName !== 'svg') {
            throw BadMedia::broken($name);
        }
        foreach ((new DOMXPath($document))->query('//*') ?: [] as $element) {
            if ($element instanceof DOMElement && $this->isForbidden($element)) {
                throw BadMedia::svgWithScripts($name);
            }
        }

        return $this->measure($document->documentElement);
    }

    private function isForbidden(DOMElement $element): bool
    {
        if (in_array(strtolower((string) $element->localName), self::FORBIDDEN, true)) {
            return true;
        }
        foreach ($element->attributes ?? [] as $attribute) {
            $name = strtolower((string) $attribute->localName);
            $value = strtolower((string) preg_replace('/\s+/', '', $attribute->value));
            $leadsAway = in_array($name, ['href', 'src'], true) && ! str_starts_with($value, '#') && ! str_starts_with($value, 'data:image/');
            $fetches = preg_match('/url\((?![\'"]?#)/', $value) === 1;
            if (str_starts_with($name, 'on') || str_contains($value, 'javascript:') || $leadsAway || $fetches) {
                return true;
            }
        }

        return strtolower((string) $element->localName) === 'style' && preg_match('/@import|url\(\s*[\'"]?(?!#|data:image)/i', $element->textContent) === 1;
    }

    /** @return array{int, int} */
    private function measure(DOMElement $svg): array
    {
        $box = array_map(floatval(...), preg_split('/[\s,]+/', trim($svg->getAttribute('viewBox'))) ?: []);
        $side = fn (string $name, int $i): float => is_numeric(rtrim($svg->getAttribute($name), 'px')) ? (float) $svg->getAttribute($name) : ($box[$i] ?? 0.0);
        [$width, $height] = [$side('width', 2), $side('height', 3)];
        if (! ($width > 0 && $height > 0)) {
            [$width, $height] = [1280.0, 720.0];
        }
        // Drawn at the size of a full picture, whatever unit it was written in.
        $scale = 1920 / max($width, $height);

        return [max(1, (int) round($width * $scale)), max(1, (int) round($height * $scale))];
    }
}
