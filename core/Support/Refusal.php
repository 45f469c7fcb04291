<?php

declare(strict_types=1);

namespace Rhetorix\Core\Support;

use DomainException;

/**
 * Something that cannot be done, said as a sentence for a person: what is
 * wrong and what to do. The message may be shown as it is.
 */
class Refusal extends DomainException
{
}
