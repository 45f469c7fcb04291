<?php

namespace App\Shows\Edits;

use App\Models\Show;
use Rhetorix\Core\Budget\Quality;
use Rhetorix\Core\Support\Fields;

/** host.quality {level, before}: the server itself says this, when the picture host runs late or keeps up again. */
final class StepQuality implements Edit
{
    public const TYPE = 'host.quality';

    public function apply(Show $show, Fields $fields, int $revision): EditResult
    {
        $level = $fields->integer('level', 0, Quality::last());
        $why = $level > $fields->integer('before', 0, Quality::last()) ? 'Frames ran late on the computer with the devices' : 'The computer with the devices keeps up again';

        return new EditResult('quality', '', $why.': '.Quality::at($level)['said'], bookChanged: false);
    }
}
