<?php

namespace App\Live;

use RuntimeException;

final class ChannelDown extends RuntimeException
{
}
