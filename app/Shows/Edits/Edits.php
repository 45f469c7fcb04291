<?php

namespace App\Shows\Edits;

use App\Models\Show;
use Illuminate\Contracts\Container\Container;
use Rhetorix\Core\Support\Fields;

/** All edits by the type that a command names. */
final readonly class Edits
{
    /** @var array<string, class-string<Edit>> */
    public const TYPES = [
        'source.connect' => ConnectSource::class,
        'source.rename' => RenameSource::class,
        'source.set' => SetSource::class,
        'source.rematch' => RematchSource::class,
        'source.link' => LinkDeck::class,
        'source.measured' => MeasureSource::class,
        'source.remove' => RemoveSource::class,
        StepQuality::TYPE => StepQuality::class,
        'picture.make' => MakePicture::class,
        'picture.change' => ChangePicture::class,
        'picture.fill' => FillPlace::class,
        'picture.place' => PlacePicture::class,
        'picture.bring' => BringPictures::class,
        'picture.remove' => RemovePicture::class,
    ];

    public function __construct(private Container $container)
    {
    }

    public function knows(string $type): bool
    {
        return isset(self::TYPES[$type]);
    }

    public function apply(string $type, Show $show, Fields $fields, int $revision): EditResult
    {
        return $this->container->make(self::TYPES[$type])->apply($show, $fields, $revision);
    }
}
