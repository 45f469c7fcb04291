<?php

declare(strict_types=1);

namespace Rhetorix\Core\LineUp;

enum Verdict: string
{
    case Well = 'well';
    case Look = 'look at it';
    case Wrong = 'not well';
}
