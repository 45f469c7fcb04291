<?php

namespace App\Shows;

/** When the audience sees that a picture on program was changed. */
enum When: string
{
    case AtOnce = 'at-once';
    case Glide = 'glide';
    case NextTake = 'next-take';
}
