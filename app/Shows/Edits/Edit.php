<?php

namespace App\Shows\Edits;

use App\Models\Show;
use Rhetorix\Core\Support\Fields;
use Rhetorix\Core\Support\Refusal;

/** A change to the rig or to the pictures of a show. */
interface Edit
{
    /**
     * @param  int  $revision  the revision of the show that this edit makes
     *
     * @throws Refusal
     */
    public function apply(Show $show, Fields $fields, int $revision): EditResult;
}
