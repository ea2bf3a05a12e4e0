<?php

namespace App\Settings;

/** What is typed into a setting. */
enum SettingType
{
    case Whole;
    case Time;
    case TimeOrNone;
    case Choice;
    case Text;
}
